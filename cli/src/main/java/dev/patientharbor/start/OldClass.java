package dev.patientharbor.start;

import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.commons.JSRInlinerAdapter;

/**
 * A class of an old class-file version, written in a newer one: with stack maps, as the Java
 * Virtual Machine Specification has them in section 4.7.4.
 *
 * <p>Without them the virtual machine works out at each start what type everything has, even for a
 * class from a class-data archive. With them a class is verified once, when the archive is made.
 */
final class OldClass {

    private static final int FIRST_VERIFIED_ONCE = Opcodes.V1_6;

    private OldClass() {}

    static boolean is(int version) {
        return version < FIRST_VERIFIED_ONCE;
    }

    /**
     * Writes it anew; as it was if a type that its code needs is not there.
     *
     * @param loader has the classes that it names
     */
    static byte[] renewed(byte[] bytes, ClassLoader loader) {
        ClassWriter writer =
                new ClassWriter(ClassWriter.COMPUTE_FRAMES) {
                    @Override
                    protected ClassLoader getClassLoader() {
                        return loader;
                    }
                };
        try {
            new ClassReader(bytes).accept(new Renewal(writer), ClassReader.SKIP_FRAMES);
        } catch (TypeNotPresentException | LinkageError missing) {
            return bytes;
        }
        return writer.toByteArray();
    }

    private static final class Renewal extends ClassVisitor {

        Renewal(ClassVisitor next) {
            super(Opcodes.ASM9, next);
        }

        @Override
        public void visit(
                int version,
                int access,
                String name,
                String signature,
                String superName,
                String[] interfaces) {
            super.visit(Opcodes.V1_8, access, name, signature, superName, interfaces);
        }

        @Override
        public MethodVisitor visitMethod(
                int access, String name, String type, String signature, String[] thrown) {
            MethodVisitor next = super.visitMethod(access, name, type, signature, thrown);
            // Newer versions have no subroutines.
            return new JSRInlinerAdapter(next, access, name, type, signature, thrown);
        }
    }
}
