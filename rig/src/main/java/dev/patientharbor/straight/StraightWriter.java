package dev.patientharbor.straight;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.objectweb.asm.ClassTooLargeException;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodTooLargeException;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Writes the code of a plan: a method for each object, which fetches what the object is given,
 * calls its constructor and keeps it. In Java it would read
 *
 * <pre>
 * static Object BerthClerk_7(Bay bay) {
 *     int argument = 0;
 *     try {
 *         Object ledger = bay.kept(3);
 *         if (ledger == null) {
 *             bay.begin(3);
 *             ledger = DiskBerthLedger_3(bay);
 *         }
 *         argument = 1;
 *         Object clock = bay.other(4);
 *         argument = 2;
 *         return bay.keep(7, new BerthClerk((BerthLedger) ledger, (HarborClock) clock));
 *     } catch (Throwable thrown) {
 *         throw bay.failed(7, argument, thrown);
 *     }
 * }
 * </pre>
 */
public final class StraightWriter {

    private static final String CODE = Type.getInternalName(StraightCode.class);
    private static final String BAY = Type.getInternalName(Bay.class);
    private static final String OBJECT = "java/lang/Object";
    private static final String NAME = CODE + "OfPlan";
    private static final String MAKES = "(L" + BAY + ";)L" + OBJECT + ";";

    /** The local variables of a method that makes an object. */
    private static final int IN_BAY = 0;

    private static final int ARGUMENT = 1;
    private static final int FIRST_GIVEN = 2;

    private final Map<Integer, Step> steps = new HashMap<>();
    private final ClassWriter writer =
            new ClassWriter(ClassWriter.COMPUTE_FRAMES) {
                @Override
                protected String getCommonSuperClass(String one, String other) {
                    return OBJECT;
                }
            };

    private StraightWriter() {}

    /**
     * Writes and loads the code.
     *
     * @param all what is made with {@code new}, with constructors whose classes that loader loads
     * @return the code, for those steps that may be said in another package; empty if there is
     *     none, if they do not fit into a class, or if they cannot be linked
     */
    public static Optional<StraightCode> write(List<Step> all, ClassLoader users) {
        StraightLoader loader = new StraightLoader(users);
        List<Step> open =
                all.stream().filter(one -> one.isOpenTo(loader.getUnnamedModule())).toList();
        if (open.isEmpty()) {
            return Optional.empty();
        }
        try {
            Class<?> made =
                    loader.define(NAME.replace('/', '.'), new StraightWriter().written(open));
            return Optional.of((StraightCode) made.getDeclaredConstructor().newInstance());
        } catch (ClassTooLargeException
                | MethodTooLargeException
                | LinkageError
                | ReflectiveOperationException unusual) {
            return Optional.empty();
        }
    }

    private byte[] written(List<Step> all) {
        all.forEach(one -> steps.put(one.number(), one));
        writer.visit(Opcodes.V17, Opcodes.ACC_PUBLIC, NAME, null, CODE, null);
        constructor();
        choice(all);
        all.forEach(this::making);
        writer.visitEnd();
        return writer.toByteArray();
    }

    private void constructor() {
        MethodVisitor to = writer.visitMethod(Opcodes.ACC_PUBLIC, "<init>", "()V", null, null);
        to.visitCode();
        to.visitVarInsn(Opcodes.ALOAD, 0);
        to.visitMethodInsn(Opcodes.INVOKESPECIAL, CODE, "<init>", "()V", false);
        to.visitInsn(Opcodes.RETURN);
        end(to);
    }

    /** The method that is asked from outside: from a number to the method that makes it. */
    private void choice(List<Step> all) {
        MethodVisitor to =
                writer.visitMethod(
                        Opcodes.ACC_PUBLIC, "make", "(IL" + BAY + ";)L" + OBJECT + ";", null, null);
        to.visitCode();
        List<Step> inOrder = new ArrayList<>(all);
        inOrder.sort(Comparator.comparingInt(Step::number));
        int[] numbers = inOrder.stream().mapToInt(Step::number).toArray();
        Label[] labels = Stream.generate(Label::new).limit(numbers.length).toArray(Label[]::new);
        Label none = new Label();
        to.visitVarInsn(Opcodes.ILOAD, 1);
        to.visitLookupSwitchInsn(none, numbers, labels);
        for (int i = 0; i < labels.length; i++) {
            to.visitLabel(labels[i]);
            to.visitVarInsn(Opcodes.ALOAD, 2);
            call(to, inOrder.get(i));
            to.visitInsn(Opcodes.ARETURN);
        }
        to.visitLabel(none);
        to.visitInsn(Opcodes.ACONST_NULL);
        to.visitInsn(Opcodes.ARETURN);
        end(to);
    }

    private void making(Step step) {
        MethodVisitor to = writer.visitMethod(Opcodes.ACC_STATIC, name(step), MAKES, null, null);
        to.visitCode();
        argument(to, 0);
        Label start = new Label();
        Label end = new Label();
        to.visitTryCatchBlock(start, end, end, "java/lang/Throwable");
        to.visitLabel(start);
        Class<?>[] types = step.constructor().getParameterTypes();
        for (int i = 0; i < types.length; i++) {
            fetch(to, step.arguments().get(i));
            if (!types[i].isInterface()) {
                // The standard asks for none to an interface (JVMS 4.10.1.2, isJavaAssignable).
                to.visitTypeInsn(Opcodes.CHECKCAST, Type.getInternalName(types[i]));
            }
            to.visitVarInsn(Opcodes.ASTORE, FIRST_GIVEN + i);
            argument(to, i + 1);
        }
        to.visitVarInsn(Opcodes.ALOAD, IN_BAY);
        number(to, step.number());
        constructed(to, step, types.length);
        to.visitMethodInsn(
                Opcodes.INVOKEVIRTUAL, BAY, "keep", "(IL" + OBJECT + ";)L" + OBJECT + ";", false);
        to.visitInsn(Opcodes.ARETURN);
        to.visitLabel(end);
        to.visitVarInsn(Opcodes.ASTORE, FIRST_GIVEN);
        to.visitVarInsn(Opcodes.ALOAD, IN_BAY);
        number(to, step.number());
        to.visitVarInsn(Opcodes.ILOAD, ARGUMENT);
        to.visitVarInsn(Opcodes.ALOAD, FIRST_GIVEN);
        to.visitMethodInsn(
                Opcodes.INVOKEVIRTUAL,
                BAY,
                "failed",
                "(IILjava/lang/Throwable;)Ljava/lang/RuntimeException;",
                false);
        to.visitInsn(Opcodes.ATHROW);
        end(to);
    }

    /** Leaves what has that number on the stack: what is kept, a new one, or what others make. */
    private void fetch(MethodVisitor to, int number) {
        Step step = steps.get(number);
        if (step == null) {
            onBay(to, number, "other", "(I)L" + OBJECT + ";");
            return;
        }
        Label there = new Label();
        onBay(to, number, "kept", "(I)L" + OBJECT + ";");
        to.visitInsn(Opcodes.DUP);
        to.visitJumpInsn(Opcodes.IFNONNULL, there);
        to.visitInsn(Opcodes.POP);
        onBay(to, number, "begin", "(I)V");
        to.visitVarInsn(Opcodes.ALOAD, IN_BAY);
        call(to, step);
        to.visitLabel(there);
    }

    private static void constructed(MethodVisitor to, Step step, int given) {
        String name = Type.getInternalName(step.constructor().getDeclaringClass());
        to.visitTypeInsn(Opcodes.NEW, name);
        to.visitInsn(Opcodes.DUP);
        for (int i = 0; i < given; i++) {
            to.visitVarInsn(Opcodes.ALOAD, FIRST_GIVEN + i);
        }
        to.visitMethodInsn(
                Opcodes.INVOKESPECIAL,
                name,
                "<init>",
                Type.getConstructorDescriptor(step.constructor()),
                false);
    }

    private static void onBay(MethodVisitor to, int number, String method, String descriptor) {
        to.visitVarInsn(Opcodes.ALOAD, IN_BAY);
        number(to, number);
        to.visitMethodInsn(Opcodes.INVOKEVIRTUAL, BAY, method, descriptor, false);
    }

    private static void argument(MethodVisitor to, int number) {
        number(to, number);
        to.visitVarInsn(Opcodes.ISTORE, ARGUMENT);
    }

    private static void number(MethodVisitor to, int number) {
        if (number <= Short.MAX_VALUE) {
            to.visitIntInsn(Opcodes.SIPUSH, number);
        } else {
            to.visitLdcInsn(number);
        }
    }

    private static void call(MethodVisitor to, Step step) {
        to.visitMethodInsn(Opcodes.INVOKESTATIC, NAME, name(step), MAKES, false);
    }

    /** The name of the method that makes an object, as it is read in a stack trace. */
    private static String name(Step step) {
        return step.constructor().getDeclaringClass().getSimpleName() + '_' + step.number();
    }

    private static void end(MethodVisitor to) {
        to.visitMaxs(0, 0);
        to.visitEnd();
    }
}
