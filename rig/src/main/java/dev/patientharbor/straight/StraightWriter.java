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
 * static Object BerthClerk_7(Bay bay, Object[] objects) throws Throwable {
 *     Object ledger = objects[3];
 *     ledger = ledger == null ? DiskBerthLedger_3(bay, objects) : bay.found(ledger, 3, 7, 0);
 *     Object clock = bay.other(4, 7, 1);
 *     Object clerk = new BerthClerk((BerthLedger) ledger, (HarborClock) clock);
 *     return Bay.keep(objects, 7, clerk);
 * }
 * </pre>
 */
public final class StraightWriter {

    private static final String CODE = Type.getInternalName(StraightCode.class);
    private static final String BAY = Type.getInternalName(Bay.class);
    private static final String OBJECT = "java/lang/Object";
    private static final String NAME = CODE + "OfPlan";
    private static final String STARTS = "(Ljava/util/List;)V";
    private static final String OBJECTS = "[L" + OBJECT + ";";
    private static final String MAKES = "(L" + BAY + ";" + OBJECTS + ")L" + OBJECT + ";";

    /** The local variables of a method that makes an object. */
    private static final int IN_BAY = 0;

    private static final int IN_OBJECTS = 1;
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
            return Optional.of(
                    (StraightCode) made.getDeclaredConstructor(List.class).newInstance(open));
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
        MethodVisitor to = writer.visitMethod(Opcodes.ACC_PUBLIC, "<init>", STARTS, null, null);
        to.visitCode();
        to.visitVarInsn(Opcodes.ALOAD, 0);
        to.visitVarInsn(Opcodes.ALOAD, 1);
        to.visitMethodInsn(Opcodes.INVOKESPECIAL, CODE, "<init>", STARTS, false);
        to.visitInsn(Opcodes.RETURN);
        end(to);
    }

    /** The method that is asked from outside: from a number to the method that makes it. */
    private void choice(List<Step> all) {
        MethodVisitor to =
                writer.visitMethod(
                        Opcodes.ACC_PUBLIC,
                        "make",
                        "(IL" + BAY + ";" + OBJECTS + ")L" + OBJECT + ";",
                        null,
                        null);
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
            to.visitVarInsn(Opcodes.ALOAD, 3);
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
        Class<?>[] types = step.constructor().getParameterTypes();
        for (int i = 0; i < types.length; i++) {
            fetch(to, step, i);
            if (!types[i].isInterface()) {
                // The standard asks for none to an interface (JVMS 4.10.1.2, isJavaAssignable).
                to.visitTypeInsn(Opcodes.CHECKCAST, Type.getInternalName(types[i]));
            }
            to.visitVarInsn(Opcodes.ASTORE, FIRST_GIVEN + i);
        }
        to.visitVarInsn(Opcodes.ALOAD, IN_OBJECTS);
        number(to, step.number());
        constructed(to, step, types.length);
        String keeps = "(" + OBJECTS + "IL" + OBJECT + ";)L" + OBJECT + ";";
        to.visitMethodInsn(Opcodes.INVOKESTATIC, BAY, "keep", keeps, false);
        to.visitInsn(Opcodes.ARETURN);
        end(to);
    }

    /** Leaves an argument on the stack: what is kept, a new one, or what others make. */
    private void fetch(MethodVisitor to, Step by, int at) {
        int number = by.arguments().get(at);
        Step step = steps.get(number);
        if (step == null) {
            to.visitVarInsn(Opcodes.ALOAD, IN_BAY);
            onBay(to, "other", "(III)L" + OBJECT + ";", number, by.number(), at);
            return;
        }
        Label there = new Label();
        Label fetched = new Label();
        to.visitVarInsn(Opcodes.ALOAD, IN_BAY);
        to.visitVarInsn(Opcodes.ALOAD, IN_OBJECTS);
        number(to, number);
        to.visitInsn(Opcodes.AALOAD);
        to.visitInsn(Opcodes.DUP);
        to.visitJumpInsn(Opcodes.IFNONNULL, there);
        to.visitInsn(Opcodes.POP);
        to.visitVarInsn(Opcodes.ALOAD, IN_OBJECTS);
        call(to, step);
        to.visitJumpInsn(Opcodes.GOTO, fetched);
        to.visitLabel(there);
        onBay(to, "found", "(L" + OBJECT + ";III)L" + OBJECT + ";", number, by.number(), at);
        to.visitLabel(fetched);
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

    private static void onBay(MethodVisitor to, String method, String descriptor, int... numbers) {
        for (int one : numbers) {
            number(to, one);
        }
        to.visitMethodInsn(Opcodes.INVOKEVIRTUAL, BAY, method, descriptor, false);
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
