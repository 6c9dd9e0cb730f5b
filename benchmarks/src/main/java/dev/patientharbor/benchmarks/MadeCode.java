package dev.patientharbor.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.FieldVisitor;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/** Writes class files of made-up contracts, classes and consumers, all in package {@code g}. */
final class MadeCode {

    private static final String OBJECT = "java/lang/Object";

    private final Path folder;

    MadeCode(Path folder) throws IOException {
        this.folder = folder;
        Files.createDirectories(folder.resolve("g"));
    }

    Path folder() {
        return folder;
    }

    private void write(String name, ClassWriter writer) throws IOException {
        writer.visitEnd();
        Files.write(folder.resolve("g/" + name + ".class"), writer.toByteArray());
    }

    /** An interface. */
    void contract(String name) throws IOException {
        ClassWriter writer = new ClassWriter(0);
        int access = Opcodes.ACC_PUBLIC | Opcodes.ACC_INTERFACE | Opcodes.ACC_ABSTRACT;
        writer.visit(Opcodes.V17, access, "g/" + name, null, OBJECT, null);
        write(name, writer);
    }

    /** A class that implements a contract (none if blank) and asks for some types. */
    void type(String name, String contract, List<String> asks) throws IOException {
        write(name, writer(name, contract, asks, List.of()));
    }

    /** The same, with the key of each need; blank for none. */
    void keyed(String name, List<String> asks, List<String> keys) throws IOException {
        write(name, writer(name, "", asks, keys));
    }

    /** A class with one constructor that asks for a list of a contract. */
    void ofMany(String name, String content) throws IOException {
        ClassWriter writer = open(name, "");
        constructor(
                writer,
                "(Ljava/util/List;)V",
                "(Ljava/util/List<Lg/" + content + ";>;)V",
                List.of());
        write(name, writer);
    }

    /** A class with marked fields. */
    void fields(String name, List<String> asks) throws IOException {
        ClassWriter writer = open(name, "");
        constructor(writer, "()V", null, List.of());
        for (String asked : asks) {
            FieldVisitor field = writer.visitField(0, "f" + asked, "Lg/" + asked + ";", null, null);
            field.visitAnnotation("Ljakarta/inject/Inject;", true).visitEnd();
            field.visitEnd();
        }
        write(name, writer);
    }

    private static ClassWriter open(String name, String contract) {
        ClassWriter writer = new ClassWriter(0);
        String[] contracts = contract.isEmpty() ? new String[0] : new String[] {"g/" + contract};
        writer.visit(Opcodes.V17, Opcodes.ACC_PUBLIC, "g/" + name, null, OBJECT, contracts);
        return writer;
    }

    private static ClassWriter writer(
            String name, String contract, List<String> asks, List<String> keys) {
        ClassWriter writer = open(name, contract);
        StringBuilder descriptor = new StringBuilder("(");
        asks.forEach(ask -> descriptor.append("Lg/").append(ask).append(';'));
        constructor(writer, descriptor.append(")V").toString(), null, keys);
        return writer;
    }

    private static void constructor(
            ClassWriter writer, String descriptor, String signature, List<String> keys) {
        MethodVisitor made =
                writer.visitMethod(Opcodes.ACC_PUBLIC, "<init>", descriptor, signature, null);
        for (int i = 0; i < keys.size(); i++) {
            if (!keys.get(i).isEmpty()) {
                var mark = made.visitParameterAnnotation(i, "Ljakarta/inject/Named;", true);
                mark.visit("value", keys.get(i));
                mark.visitEnd();
            }
        }
        made.visitCode();
        made.visitVarInsn(Opcodes.ALOAD, 0);
        made.visitMethodInsn(Opcodes.INVOKESPECIAL, OBJECT, "<init>", "()V", false);
        made.visitInsn(Opcodes.RETURN);
        made.visitMaxs(1, 255);
        made.visitEnd();
    }
}
