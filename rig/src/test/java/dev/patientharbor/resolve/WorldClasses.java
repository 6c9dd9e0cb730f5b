package dev.patientharbor.resolve;

import static org.objectweb.asm.Opcodes.AASTORE;
import static org.objectweb.asm.Opcodes.ACC_ABSTRACT;
import static org.objectweb.asm.Opcodes.ACC_INTERFACE;
import static org.objectweb.asm.Opcodes.ACC_PUBLIC;
import static org.objectweb.asm.Opcodes.ALOAD;
import static org.objectweb.asm.Opcodes.ANEWARRAY;
import static org.objectweb.asm.Opcodes.DUP;
import static org.objectweb.asm.Opcodes.INVOKESPECIAL;
import static org.objectweb.asm.Opcodes.PUTFIELD;
import static org.objectweb.asm.Opcodes.RETURN;
import static org.objectweb.asm.Opcodes.SIPUSH;
import static org.objectweb.asm.Opcodes.V17;

import dev.patientharbor.resolve.World.Asks;
import java.util.List;
import java.util.stream.Collectors;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.MethodVisitor;

/** The classes of a random world, made when they are asked for: each keeps what it was given. */
final class WorldClasses extends ClassLoader {

    private final World world;

    WorldClasses(World world) {
        super(WorldClasses.class.getClassLoader());
        this.world = world;
    }

    @Override
    protected Class<?> findClass(String name) throws ClassNotFoundException {
        if (!name.startsWith("p.")) {
            throw new ClassNotFoundException(name);
        }
        byte[] bytes = bytes(name);
        return defineClass(name, bytes, 0, bytes.length);
    }

    /** The class file of a class of the world. */
    byte[] bytes(String name) {
        return name.startsWith("p.C") ? contract(name) : ofClass(name);
    }

    private static byte[] contract(String name) {
        ClassWriter writer = new ClassWriter(0);
        writer.visit(
                V17,
                ACC_PUBLIC | ACC_INTERFACE | ACC_ABSTRACT,
                name.replace('.', '/'),
                null,
                "java/lang/Object",
                null);
        return writer.toByteArray();
    }

    private byte[] ofClass(String name) {
        List<Asks> needs = world.needs.get(name);
        String internal = name.replace('.', '/');
        boolean isEntry = name.startsWith("p.D");
        String[] contracts = isEntry ? new String[0] : new String[] {"p/C" + name.charAt(3)};
        ClassWriter writer = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        writer.visit(V17, ACC_PUBLIC, internal, null, "java/lang/Object", contracts);
        writer.visitField(ACC_PUBLIC, "held", "[Ljava/lang/Object;", null, null);
        String parameters =
                needs.stream()
                        .map(WorldClasses::erased)
                        .map(type -> 'L' + type + ';')
                        .collect(Collectors.joining());
        MethodVisitor made =
                writer.visitMethod(ACC_PUBLIC, "<init>", '(' + parameters + ")V", null, null);
        made.visitVarInsn(ALOAD, 0);
        made.visitMethodInsn(INVOKESPECIAL, "java/lang/Object", "<init>", "()V", false);
        made.visitVarInsn(ALOAD, 0);
        made.visitIntInsn(SIPUSH, needs.size());
        made.visitTypeInsn(ANEWARRAY, "java/lang/Object");
        for (int i = 0; i < needs.size(); i++) {
            made.visitInsn(DUP);
            made.visitIntInsn(SIPUSH, i);
            made.visitVarInsn(ALOAD, i + 1);
            made.visitInsn(AASTORE);
        }
        made.visitFieldInsn(PUTFIELD, internal, "held", "[Ljava/lang/Object;");
        made.visitInsn(RETURN);
        made.visitMaxs(0, 0);
        return writer.toByteArray();
    }

    private static String erased(Asks one) {
        String outermost = one.carrier().split(" ")[0];
        return switch (outermost) {
            case "" -> one.contract().replace('.', '/');
            case "Supplier" -> "java/util/function/Supplier";
            default -> "java/util/" + outermost;
        };
    }
}
