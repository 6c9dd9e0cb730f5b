package dev.patientharbor.benchmarks;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * Makes an application of any size, always the same for the same seed: jars, and a profile file.
 *
 * <p>Of {@code size} classes a quarter are contracts, a half implementations (two for each
 * contract), a quarter consumers. Each asks for up to three contracts of a higher number, so that
 * there is no circle. Bodies are of the size that bodies have in real jars.
 */
final class Town {

    private static final int PER_PACKAGE = 100;
    private static final int METHODS = 8;

    private final int size;
    private final Random random = new Random(20260101);
    private final int contracts;
    private final Map<String, List<Integer>> asks = new HashMap<>();

    Town(int size) {
        this.size = size;
        contracts = size / 4;
    }

    static String packageOf(int number) {
        return "town.p" + number / PER_PACKAGE;
    }

    private static String contract(int number) {
        return packageOf(number) + ".Contract" + number;
    }

    private static String implementation(int number, int variant) {
        return packageOf(number) + ".Work" + number + (variant == 0 ? "a" : "b");
    }

    private static String consumer(int number) {
        return packageOf(number) + ".Desk" + number;
    }

    /** Writes the jars, of as many packages each. */
    List<Path> writeJars(Path folder, int count) throws IOException {
        List<Path> jars = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            Path jar = folder.resolve(count == 1 ? "town.jar" : "town" + i + ".jar");
            writeJar(jar, packages(i, count), packages(i + 1, count));
            jars.add(jar);
        }
        return jars;
    }

    /** How many contracts are in the jars before one. */
    private int packages(int jar, int jars) {
        int all = (contracts + PER_PACKAGE - 1) / PER_PACKAGE;
        return (int) Math.min(contracts, (long) all * jar / jars * PER_PACKAGE);
    }

    private void writeJar(Path file, int from, int to) throws IOException {
        try (OutputStream bytes = Files.newOutputStream(file);
                ZipOutputStream jar = new ZipOutputStream(bytes)) {
            for (int i = from; i < to; i++) {
                put(jar, contract(i), contractBytes(i));
                put(jar, implementation(i, 0), classBytes(implementation(i, 0), i, i + 1));
                put(jar, implementation(i, 1), classBytes(implementation(i, 1), i, i + 1));
                if (4 * i + 3 < size) {
                    put(jar, consumer(i), classBytes(consumer(i), -1, 0));
                }
            }
        }
    }

    /** Writes a profile file; each profile but the first differs from its parent in 2 in 100. */
    void writeProfiles(Path file, List<Path> jars, int profiles) throws IOException {
        StringBuilder text = new StringBuilder("patient-harbor: 1\ntitle: Town\n");
        text.append("code: ").append(names(jars)).append("\nentry:\n");
        for (int i = 0; i < contracts; i += PER_PACKAGE) {
            text.append("  - ").append(packageOf(i)).append(".*\n");
        }
        text.append("profiles:\n");
        Random change = new Random(7);
        for (int profile = 0; profile < profiles; profile++) {
            text.append("  profile").append(profile).append(":\n");
            if (profile > 0) {
                text.append("    extends: profile").append((profile - 1) / 2).append('\n');
            }
            text.append("    bindings:\n");
            for (int i = 0; i < contracts; i++) {
                if (profile == 0 || change.nextInt(50) == 0) {
                    String work = implementation(i, profile == 0 ? 0 : 1);
                    text.append("      ").append(contract(i)).append(": ");
                    text.append(profile == 0 ? work : "{ stub: " + work + " }").append('\n');
                }
            }
        }
        Files.writeString(file, text);
    }

    /**
     * Writes a profile file by which only so many classes are reached: the last ones, and what they
     * lead to. Bindings are written out, and nothing is wrong. The jars were written before.
     *
     * @param unmet whether one binding is missing
     */
    void writeReached(Path file, List<Path> jars, int reached, boolean unmet) throws IOException {
        BitSet bound = new BitSet();
        int first = contracts;
        while (first > 0 && 2 * bound.cardinality() + contracts - first < reached) {
            follow(implementation(--first, 1), bound);
        }
        StringBuilder text = new StringBuilder("patient-harbor: 1\ntitle: Town\n");
        text.append("code: ").append(names(jars)).append("\nentry:\n");
        for (int i = first; i < contracts; i++) {
            text.append("  - ").append(implementation(i, 1)).append('\n');
        }
        text.append("profiles:\n  profile0:\n    bindings:\n");
        for (int i = bound.nextSetBit(0); i >= 0; i = bound.nextSetBit(i + 1)) {
            if (!unmet || i != bound.length() - 1) {
                text.append("      ").append(contract(i)).append(": ");
                text.append(implementation(i, 0)).append('\n');
            }
        }
        Files.writeString(file, text);
    }

    private static List<Path> names(List<Path> jars) {
        return jars.stream().map(Path::getFileName).toList();
    }

    /** Adds the contracts to which a class leads, by the first implementation of each. */
    private void follow(String name, BitSet met) {
        for (int asked : asks.getOrDefault(name, List.of())) {
            if (!met.get(asked)) {
                met.set(asked);
                follow(implementation(asked, 0), met);
            }
        }
    }

    private static void put(ZipOutputStream jar, String name, byte[] bytes) throws IOException {
        ZipEntry entry = new ZipEntry(name.replace('.', '/') + ".class");
        entry.setTime(0);
        jar.putNextEntry(entry);
        jar.write(bytes);
    }

    private byte[] contractBytes(int number) {
        ClassWriter writer = new ClassWriter(0);
        writer.visit(
                Opcodes.V17,
                Opcodes.ACC_PUBLIC | Opcodes.ACC_INTERFACE | Opcodes.ACC_ABSTRACT,
                contract(number).replace('.', '/'),
                null,
                "java/lang/Object",
                null);
        for (int i = 0; i < 3; i++) {
            writer.visitMethod(
                            Opcodes.ACC_PUBLIC | Opcodes.ACC_ABSTRACT,
                            "work" + i,
                            "(I)I",
                            null,
                            null)
                    .visitEnd();
        }
        writer.visitEnd();
        return writer.toByteArray();
    }

    /** A class with a constructor of up to three needs, all of a contract from a number on. */
    private byte[] classBytes(String name, int implemented, int from) {
        ClassWriter writer = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        String internal = name.replace('.', '/');
        String[] interfaces =
                implemented < 0 ? null : new String[] {contract(implemented).replace('.', '/')};
        writer.visit(
                Opcodes.V17, Opcodes.ACC_PUBLIC, internal, null, "java/lang/Object", interfaces);
        int needs = from >= contracts ? 0 : random.nextInt(4);
        StringBuilder descriptor = new StringBuilder("(");
        for (int i = 0; i < needs; i++) {
            int asked = from + random.nextInt(contracts - from);
            asks.computeIfAbsent(name, key -> new ArrayList<>(3)).add(asked);
            descriptor.append('L').append(contract(asked).replace('.', '/')).append(';');
        }
        MethodVisitor made =
                writer.visitMethod(
                        Opcodes.ACC_PUBLIC,
                        "<init>",
                        descriptor.append(")V").toString(),
                        null,
                        null);
        for (int i = 0; i < needs; i++) {
            made.visitParameter("need" + i, 0);
        }
        made.visitCode();
        made.visitVarInsn(Opcodes.ALOAD, 0);
        made.visitMethodInsn(Opcodes.INVOKESPECIAL, "java/lang/Object", "<init>", "()V", false);
        made.visitInsn(Opcodes.RETURN);
        made.visitMaxs(0, 0);
        made.visitEnd();
        for (int i = 0; i < METHODS; i++) {
            method(writer, internal, i);
        }
        writer.visitEnd();
        return writer.toByteArray();
    }

    private void method(ClassWriter writer, String internal, int number) {
        MethodVisitor body =
                writer.visitMethod(Opcodes.ACC_PUBLIC, "work" + number, "(I)I", null, null);
        body.visitCode();
        for (int i = 0; i < 20 + random.nextInt(30); i++) {
            body.visitLdcInsn("step " + random.nextInt(1000) + " of " + internal);
            body.visitMethodInsn(Opcodes.INVOKEVIRTUAL, "java/lang/String", "length", "()I", false);
            body.visitInsn(Opcodes.POP);
        }
        body.visitVarInsn(Opcodes.ILOAD, 1);
        body.visitInsn(Opcodes.IRETURN);
        body.visitMaxs(0, 0);
        body.visitEnd();
    }
}
