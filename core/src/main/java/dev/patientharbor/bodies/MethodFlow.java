package dev.patientharbor.bodies;

import static dev.patientharbor.bodies.ObtainedReader.className;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.tree.AbstractInsnNode;
import org.objectweb.asm.tree.ClassNode;
import org.objectweb.asm.tree.FieldInsnNode;
import org.objectweb.asm.tree.InvokeDynamicInsnNode;
import org.objectweb.asm.tree.LineNumberNode;
import org.objectweb.asm.tree.MethodInsnNode;
import org.objectweb.asm.tree.MethodNode;
import org.objectweb.asm.tree.TypeInsnNode;
import org.objectweb.asm.tree.VarInsnNode;
import org.objectweb.asm.tree.analysis.Analyzer;
import org.objectweb.asm.tree.analysis.AnalyzerException;
import org.objectweb.asm.tree.analysis.Frame;
import org.objectweb.asm.tree.analysis.SourceValue;

/** Finds what one method does with each object that it makes, fetches, keeps or is given. */
final class MethodFlow {

    private static final String JDK = "java/";
    private static final String SWITCHES = "java/lang/runtime/SwitchBootstraps";

    private final MethodName name;
    private final MethodNode method;
    private final boolean isStatic;
    private final NestMembership ours;
    private final Map<Integer, Integer> parameters = new HashMap<>();
    private final Map<AbstractInsnNode, Integer> lines = new HashMap<>();
    private final Map<ObjectOrigin, Set<ObjectUse>> uses = new LinkedHashMap<>();

    private MethodFlow(ClassNode owner, MethodNode method, NestMembership ours) {
        name = new MethodName(className(owner.name), method.name, method.desc);
        this.method = method;
        this.ours = ours;
        isStatic = (method.access & Opcodes.ACC_STATIC) != 0;
        int local = isStatic ? 0 : 1;
        int number = 0;
        for (Type type : Type.getArgumentTypes(method.desc)) {
            parameters.put(local, number++);
            local += type.getSize();
        }
    }

    /**
     * Follows the objects of a method.
     *
     * @param ours the nest of the class
     * @return what becomes of each; empty if the body cannot be followed
     */
    static Map<ObjectOrigin, Set<ObjectUse>> of(
            ClassNode owner, MethodNode method, NestMembership ours) {
        Frame<SourceValue>[] frames;
        try {
            frames = new Analyzer<>(new OriginInterpreter()).analyze(owner.name, method);
        } catch (AnalyzerException | RuntimeException unusual) {
            return Map.of();
        }
        MethodFlow flow = new MethodFlow(owner, method, ours);
        flow.follow(frames);
        return flow.uses;
    }

    private void follow(Frame<SourceValue>[] frames) {
        int line = 0;
        for (AbstractInsnNode each : method.instructions) {
            if (each instanceof LineNumberNode number) {
                line = number.line;
            }
            lines.put(each, line);
        }
        for (int i = 0; i < frames.length; i++) {
            AbstractInsnNode each = method.instructions.get(i);
            if (frames[i] != null && each.getOpcode() >= 0) {
                follow(each, frames[i]);
            }
        }
    }

    private void follow(AbstractInsnNode each, Frame<SourceValue> frame) {
        if (each instanceof MethodInsnNode call) {
            call(call, operands(frame, Type.getArgumentTypes(call.desc).length, call));
        } else if (each.getOpcode() == Opcodes.CHECKCAST
                || each.getOpcode() == Opcodes.INSTANCEOF) {
            takeFor(top(frame, 0), ((TypeInsnNode) each).desc, each);
        } else if (each instanceof InvokeDynamicInsnNode choice
                && choice.bsm.getOwner().equals(SWITCHES)) {
            for (Object label : choice.bsmArgs) {
                if (label instanceof Type type && type.getSort() == Type.OBJECT) {
                    takeFor(top(frame, 1), type.getInternalName(), each);
                }
            }
        } else if (each instanceof InvokeDynamicInsnNode made) {
            ObtainedReader.lambda(made)
                    .ifPresent(
                            body ->
                                    hold(
                                            body,
                                            operands(
                                                    frame,
                                                    Type.getArgumentTypes(made.desc).length,
                                                    null)));
        } else if (each instanceof FieldInsnNode field
                && (field.getOpcode() == Opcodes.PUTFIELD
                        || field.getOpcode() == Opcodes.PUTSTATIC)) {
            String owner = className(field.owner);
            if (ours.has(owner)) {
                put(
                        top(frame, 0),
                        new ObjectUse.GoesTo(new ObjectOrigin.OfField(owner, field.name)));
            }
        } else if (each.getOpcode() == Opcodes.ARETURN) {
            put(top(frame, 0), new ObjectUse.GoesTo(new ObjectOrigin.OfResult(name)));
        } else if (each.getOpcode() == Opcodes.AASTORE) {
            // What is put into an array is wherever the array is.
            spread(top(frame, 0), top(frame, 2));
        }
        if (each.getOpcode() >= Opcodes.IASTORE && each.getOpcode() <= Opcodes.SASTORE) {
            put(top(frame, 2), new ObjectUse.Filled());
        }
    }

    private void takeFor(SourceValue value, String internalName, AbstractInsnNode at) {
        put(
                value,
                new ObjectUse.TakenFor(className(internalName), name, lines.getOrDefault(at, 0)));
    }

    /**
     * The values that a call takes: the object that it is called on, if any, then the arguments.
     */
    private static List<SourceValue> operands(
            Frame<SourceValue> frame, int arguments, MethodInsnNode call) {
        int count = arguments + (call == null || call.getOpcode() == Opcodes.INVOKESTATIC ? 0 : 1);
        List<SourceValue> operands = new ArrayList<>(count);
        for (int i = 0; i < count; i++) {
            operands.add(top(frame, count - 1 - i));
        }
        return operands;
    }

    private static SourceValue top(Frame<SourceValue> frame, int depth) {
        return frame.getStack(frame.getStackSize() - 1 - depth);
    }

    private void call(MethodInsnNode call, List<SourceValue> operands) {
        MethodName called = ObtainedReader.name(call);
        boolean isStatic = call.getOpcode() == Opcodes.INVOKESTATIC;
        if (!isStatic && !called.isConstructor()) {
            put(operands.get(0), new ObjectUse.Called(called));
        }
        List<SourceValue> arguments = operands.subList(isStatic ? 0 : 1, operands.size());
        if (called.isConstructor()) {
            construct(called, operands.get(0), arguments);
        } else if (call.owner.startsWith(JDK)) {
            passToJdk(operands);
        } else {
            pass(called, arguments);
        }
    }

    private void construct(MethodName called, SourceValue object, List<SourceValue> arguments) {
        boolean isOwnObject = !isStatic && object.insns.stream().anyMatch(this::isThis);
        for (int i = 0; i < arguments.size(); i++) {
            ObjectUse use =
                    ours.has(called.owner())
                            ? goesTo(called, i)
                            : isOwnObject
                                    ? new ObjectUse.HandedToSuper(called)
                                    : new ObjectUse.HandedTo(called);
            put(arguments.get(i), use);
            if (called.owner().startsWith("java.")) {
                spread(arguments.get(i), object);
            }
        }
    }

    private boolean isThis(AbstractInsnNode origin) {
        return origin instanceof VarInsnNode load && load.var == 0;
    }

    private void pass(MethodName called, List<SourceValue> arguments) {
        for (int i = 0; i < arguments.size(); i++) {
            take(arguments.get(i), called, i);
        }
    }

    /** Lists, options and the like hand on what they are given, to lambdas also. */
    private void passToJdk(List<SourceValue> operands) {
        for (SourceValue operand : operands) {
            for (SourceValue other : operands) {
                if (other != operand) {
                    spread(operand, other);
                    for (AbstractInsnNode origin : other.insns) {
                        ObtainedReader.lambda(origin)
                                .ifPresent(
                                        body ->
                                                handIn(
                                                        operand,
                                                        body,
                                                        (InvokeDynamicInsnNode) origin));
                    }
                }
            }
        }
    }

    /** A lambda that the JDK calls with an object. */
    private void handIn(SourceValue value, Handle body, InvokeDynamicInsnNode made) {
        MethodName called = ObtainedReader.name(body);
        int held = Type.getArgumentTypes(made.desc).length;
        boolean takesObject =
                body.getTag() != Opcodes.H_INVOKESTATIC
                        && body.getTag() != Opcodes.H_NEWINVOKESPECIAL;
        int first = held - (takesObject ? 1 : 0);
        if (first < 0) {
            put(value, new ObjectUse.Called(called));
            first = 0;
        }
        for (int i = first; i < Type.getArgumentTypes(called.descriptor()).length; i++) {
            take(value, called, i);
        }
    }

    /** A lambda or method reference holds on to what it uses later. */
    private void hold(Handle body, List<SourceValue> held) {
        MethodName called = ObtainedReader.name(body);
        boolean takesObject =
                body.getTag() != Opcodes.H_INVOKESTATIC
                        && body.getTag() != Opcodes.H_NEWINVOKESPECIAL;
        for (int i = 0; i < held.size(); i++) {
            if (takesObject && i == 0) {
                put(held.get(0), new ObjectUse.Called(called));
            } else {
                take(held.get(i), called, takesObject ? i - 1 : i);
            }
        }
    }

    private void take(SourceValue value, MethodName called, int number) {
        if (ours.has(called.owner())) {
            put(value, goesTo(called, number));
        } else if (called.isConstructor()) {
            put(value, new ObjectUse.HandedTo(called));
        }
    }

    private static ObjectUse goesTo(MethodName called, int number) {
        return new ObjectUse.GoesTo(new ObjectOrigin.OfParameter(called, number));
    }

    private void put(SourceValue value, ObjectUse use) {
        for (AbstractInsnNode instruction : value.insns) {
            origin(instruction)
                    .filter(origin -> !use.equals(new ObjectUse.GoesTo(origin)))
                    .ifPresent(
                            origin ->
                                    uses.computeIfAbsent(origin, key -> new LinkedHashSet<>())
                                            .add(use));
        }
    }

    private void spread(SourceValue value, SourceValue holder) {
        for (AbstractInsnNode instruction : holder.insns) {
            origin(instruction).ifPresent(origin -> put(value, new ObjectUse.GoesTo(origin)));
        }
    }

    /** Where the value of an instruction comes from, if that can be told. */
    private Optional<ObjectOrigin> origin(AbstractInsnNode instruction) {
        if (instruction instanceof VarInsnNode load) {
            return Optional.ofNullable(parameters.get(load.var))
                    .map(number -> new ObjectOrigin.OfParameter(name, number));
        }
        if (instruction instanceof FieldInsnNode field
                && ours.has(className(field.owner))
                && !ours.isConstant(className(field.owner), field.name)) {
            return Optional.of(new ObjectOrigin.OfField(className(field.owner), field.name));
        }
        if (instruction instanceof MethodInsnNode call && ours.has(className(call.owner))) {
            return Optional.of(new ObjectOrigin.OfResult(ObtainedReader.name(call)));
        }
        return ObtainedReader.source(instruction, ours)
                .map(
                        source ->
                                ObtainedReader.obtained(
                                        source,
                                        name,
                                        lines.getOrDefault(instruction, 0),
                                        method,
                                        instruction));
    }
}
