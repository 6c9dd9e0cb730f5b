package dev.patientharbor.benchmarks;

import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.profiles.Plan;
import java.io.IOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * A made-up application of some hundred shared objects, each behind a contract and holding two
 * others: as class files, as a plan, and as a class that puts it together by hand.
 */
public final class Fleet {

    private static final String OBJECT = "java/lang/Object";

    private final int size;
    private final Path folder;
    private final ClassLoader loader;

    public Fleet(int size) {
        this.size = size;
        try {
            folder = Files.createTempDirectory("fleet");
            for (int i = 0; i < size; i++) {
                write("fleet/K" + i, contract(i));
                write("fleet/C" + i, ofClass(i));
            }
            write("fleet/Hand", byHand());
            loader = new URLClassLoader(new URL[] {folder.toUri().toURL()});
        } catch (IOException fault) {
            throw new IllegalStateException(fault);
        }
    }

    private void write(String name, ClassWriter writer) throws IOException {
        Path file = folder.resolve(name + ".class");
        Files.createDirectories(file.getParent());
        Files.write(file, writer.toByteArray());
    }

    ClassLoader loader() {
        return loader;
    }

    Class<?> root() {
        try {
            return loader.loadClass("fleet.K0");
        } catch (ClassNotFoundException fault) {
            throw new IllegalStateException(fault);
        }
    }

    /** What puts it together with {@code new}. */
    @SuppressWarnings("unchecked")
    Supplier<Object> hand() {
        try {
            return (Supplier<Object>) loader.loadClass("fleet.Hand").getConstructor().newInstance();
        } catch (ReflectiveOperationException fault) {
            throw new IllegalStateException(fault);
        }
    }

    /** The plan of its one profile. */
    Plan plan() {
        String bindings =
                IntStream.range(0, size)
                        .mapToObj(i -> "      K" + i + ": C" + i + "\n")
                        .collect(Collectors.joining());
        String text =
                "patient-harbor: 1\n"
                        + "packages: [fleet]\n"
                        + "entry: [C0]\n"
                        + "profiles:\n"
                        + "  all:\n"
                        + "    bindings:\n"
                        + bindings;
        return ProfileFiles.parse(
                        text.getBytes(StandardCharsets.UTF_8), "fleet.harbor.yaml", Path.of(""))
                .withCode(folder)
                .plan("all");
    }

    private List<Integer> needs(int i) {
        List<Integer> needs = new ArrayList<>();
        for (int child = 2 * i + 1; child <= 2 * i + 2; child++) {
            if (child < size) {
                needs.add(child);
            }
        }
        return needs;
    }

    private static ClassWriter contract(int i) {
        ClassWriter writer = new ClassWriter(0);
        int access = Opcodes.ACC_PUBLIC | Opcodes.ACC_INTERFACE | Opcodes.ACC_ABSTRACT;
        writer.visit(Opcodes.V17, access, "fleet/K" + i, null, OBJECT, null);
        return writer;
    }

    private String descriptor(int i) {
        return needs(i).stream()
                .map(number -> "Lfleet/K" + number + ";")
                .collect(Collectors.joining("", "(", ")V"));
    }

    private ClassWriter ofClass(int i) {
        ClassWriter writer = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        String name = "fleet/C" + i;
        writer.visit(
                Opcodes.V17, Opcodes.ACC_PUBLIC, name, null, OBJECT, new String[] {"fleet/K" + i});
        MethodVisitor made =
                writer.visitMethod(Opcodes.ACC_PUBLIC, "<init>", descriptor(i), null, null);
        made.visitVarInsn(Opcodes.ALOAD, 0);
        made.visitMethodInsn(Opcodes.INVOKESPECIAL, OBJECT, "<init>", "()V", false);
        int local = 1;
        for (int need : needs(i)) {
            String type = "Lfleet/K" + need + ";";
            writer.visitField(Opcodes.ACC_FINAL, "k" + need, type, null, null);
            made.visitVarInsn(Opcodes.ALOAD, 0);
            made.visitVarInsn(Opcodes.ALOAD, local++);
            made.visitFieldInsn(Opcodes.PUTFIELD, name, "k" + need, type);
        }
        made.visitInsn(Opcodes.RETURN);
        made.visitMaxs(0, 0);
        return writer;
    }

    private ClassWriter byHand() {
        ClassWriter writer = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        writer.visit(
                Opcodes.V17,
                Opcodes.ACC_PUBLIC,
                "fleet/Hand",
                null,
                OBJECT,
                new String[] {"java/util/function/Supplier"});
        MethodVisitor made = writer.visitMethod(Opcodes.ACC_PUBLIC, "<init>", "()V", null, null);
        made.visitVarInsn(Opcodes.ALOAD, 0);
        made.visitMethodInsn(Opcodes.INVOKESPECIAL, OBJECT, "<init>", "()V", false);
        made.visitInsn(Opcodes.RETURN);
        made.visitMaxs(0, 0);
        MethodVisitor get =
                writer.visitMethod(Opcodes.ACC_PUBLIC, "get", "()Ljava/lang/Object;", null, null);
        for (int i = size - 1; i >= 0; i--) {
            get.visitTypeInsn(Opcodes.NEW, "fleet/C" + i);
            get.visitInsn(Opcodes.DUP);
            needs(i).forEach(need -> get.visitVarInsn(Opcodes.ALOAD, 1 + need));
            get.visitMethodInsn(
                    Opcodes.INVOKESPECIAL, "fleet/C" + i, "<init>", descriptor(i), false);
            get.visitVarInsn(Opcodes.ASTORE, 1 + i);
        }
        get.visitVarInsn(Opcodes.ALOAD, 1);
        get.visitInsn(Opcodes.ARETURN);
        get.visitMaxs(0, 0);
        return writer;
    }
}
