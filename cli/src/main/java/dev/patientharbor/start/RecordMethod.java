package dev.patientharbor.start;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * One of the methods that every record has, which the virtual machine writes when it is first
 * called, as {@code java.lang.runtime.ObjectMethods} describes it.
 *
 * @param name {@code equals}, {@code hashCode} or {@code toString}
 * @param descriptor what it takes, first the record, and what it returns
 * @param fields those of the record, in order
 */
record RecordMethod(String name, String descriptor, List<Handle> fields) {

    private static final String WRITER = "java/lang/runtime/ObjectMethods";
    private static final String BUILDER = "java/lang/StringBuilder";
    private static final String OBJECTS = "java/util/Objects";

    private static final int MOST_STACK = 6;
    private static final int MOST_LOCALS = 3;

    /** Reads an instruction; empty for one that calls no such method. */
    static Optional<RecordMethod> of(
            String name, String descriptor, Handle bootstrap, Object... arguments) {
        if (!bootstrap.getOwner().equals(WRITER)) {
            return Optional.empty();
        }
        // First the class and the names of its fields.
        List<Handle> fields = Arrays.stream(arguments).skip(2).map(each -> (Handle) each).toList();
        return Optional.of(new RecordMethod(name, descriptor, fields));
    }

    /** The name of the method that is written for it. */
    String written() {
        return name + "$Written";
    }

    /** Writes it into its class, as a static method. */
    void write(ClassVisitor to, String simpleName) {
        int access = Opcodes.ACC_PRIVATE | Opcodes.ACC_STATIC | Opcodes.ACC_SYNTHETIC;
        MethodVisitor code = to.visitMethod(access, written(), descriptor, null, null);
        code.visitCode();
        if (name.equals("toString")) {
            writeText(code, simpleName);
        } else if (name.equals("hashCode")) {
            writeHash(code);
        } else {
            writeEquality(code);
        }
        code.visitMaxs(MOST_STACK, MOST_LOCALS);
        code.visitEnd();
    }

    private void writeText(MethodVisitor code, String simpleName) {
        code.visitTypeInsn(Opcodes.NEW, BUILDER);
        code.visitInsn(Opcodes.DUP);
        code.visitMethodInsn(Opcodes.INVOKESPECIAL, BUILDER, "<init>", "()V", false);
        String before = simpleName + '[';
        for (Handle field : fields) {
            append(code, before + field.getName() + '=');
            load(code, field, 0);
            append(code, JoinedText.appended(Type.getType(field.getDesc())));
            before = ", ";
        }
        append(code, fields.isEmpty() ? before + ']' : "]");
        code.visitMethodInsn(
                Opcodes.INVOKEVIRTUAL, BUILDER, "toString", "()Ljava/lang/String;", false);
        code.visitInsn(Opcodes.ARETURN);
    }

    private static void append(MethodVisitor code, String text) {
        code.visitLdcInsn(text);
        append(code, Type.getType(String.class));
    }

    private static void append(MethodVisitor code, Type type) {
        String descriptor = "(" + type.getDescriptor() + ")L" + BUILDER + ";";
        code.visitMethodInsn(Opcodes.INVOKEVIRTUAL, BUILDER, "append", descriptor, false);
    }

    private void writeHash(MethodVisitor code) {
        code.visitInsn(Opcodes.ICONST_0);
        for (Handle field : fields) {
            code.visitIntInsn(Opcodes.BIPUSH, 31);
            code.visitInsn(Opcodes.IMUL);
            load(code, field, 0);
            Type type = Type.getType(field.getDesc());
            boolean isObject = type.getSort() >= Type.ARRAY;
            code.visitMethodInsn(
                    Opcodes.INVOKESTATIC,
                    isObject ? OBJECTS : boxed(type),
                    "hashCode",
                    isObject ? "(Ljava/lang/Object;)I" : "(" + type.getDescriptor() + ")I",
                    false);
            code.visitInsn(Opcodes.IADD);
        }
        code.visitInsn(Opcodes.IRETURN);
    }

    private void writeEquality(MethodVisitor code) {
        String owner = Type.getArgumentTypes(descriptor)[0].getInternalName();
        code.visitVarInsn(Opcodes.ALOAD, 0);
        code.visitVarInsn(Opcodes.ALOAD, 1);
        Label notSame = new Label();
        code.visitJumpInsn(Opcodes.IF_ACMPNE, notSame);
        code.visitInsn(Opcodes.ICONST_1);
        code.visitInsn(Opcodes.IRETURN);
        code.visitLabel(notSame);
        code.visitFrame(Opcodes.F_SAME, 0, null, 0, null);
        code.visitVarInsn(Opcodes.ALOAD, 1);
        code.visitTypeInsn(Opcodes.INSTANCEOF, owner);
        Label ofOneClass = new Label();
        code.visitJumpInsn(Opcodes.IFNE, ofOneClass);
        code.visitInsn(Opcodes.ICONST_0);
        code.visitInsn(Opcodes.IRETURN);
        code.visitLabel(ofOneClass);
        code.visitFrame(Opcodes.F_SAME, 0, null, 0, null);
        code.visitVarInsn(Opcodes.ALOAD, 1);
        code.visitTypeInsn(Opcodes.CHECKCAST, owner);
        code.visitVarInsn(Opcodes.ASTORE, 2);
        for (int i = 0; i < fields.size(); i++) {
            load(code, fields.get(i), 0);
            load(code, fields.get(i), 2);
            Label alike = new Label();
            code.visitJumpInsn(compare(code, Type.getType(fields.get(i).getDesc())), alike);
            code.visitInsn(Opcodes.ICONST_0);
            code.visitInsn(Opcodes.IRETURN);
            code.visitLabel(alike);
            if (i == 0) {
                code.visitFrame(Opcodes.F_APPEND, 1, new Object[] {owner}, 0, null);
            } else {
                code.visitFrame(Opcodes.F_SAME, 0, null, 0, null);
            }
        }
        code.visitInsn(Opcodes.ICONST_1);
        code.visitInsn(Opcodes.IRETURN);
    }

    /** Compares two values, and returns the jump for when they are alike. */
    private static int compare(MethodVisitor code, Type type) {
        if (type.getSort() >= Type.ARRAY) {
            code.visitMethodInsn(
                    Opcodes.INVOKESTATIC,
                    OBJECTS,
                    "equals",
                    "(Ljava/lang/Object;Ljava/lang/Object;)Z",
                    false);
            return Opcodes.IFNE;
        }
        String one = type.getDescriptor();
        String descriptor = "(" + one + one + ")I";
        code.visitMethodInsn(Opcodes.INVOKESTATIC, boxed(type), "compare", descriptor, false);
        return Opcodes.IFEQ;
    }

    private static String boxed(Type type) {
        return switch (type.getSort()) {
            case Type.BOOLEAN -> "java/lang/Boolean";
            case Type.CHAR -> "java/lang/Character";
            case Type.BYTE -> "java/lang/Byte";
            case Type.SHORT -> "java/lang/Short";
            case Type.INT -> "java/lang/Integer";
            case Type.FLOAT -> "java/lang/Float";
            case Type.LONG -> "java/lang/Long";
            default -> "java/lang/Double";
        };
    }

    private static void load(MethodVisitor code, Handle field, int variable) {
        code.visitVarInsn(Opcodes.ALOAD, variable);
        code.visitFieldInsn(Opcodes.GETFIELD, field.getOwner(), field.getName(), field.getDesc());
    }
}
