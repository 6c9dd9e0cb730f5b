package dev.patientharbor.tracing;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.tracing.TracedValue.Constant;
import dev.patientharbor.tracing.TracedValue.Nothing;
import dev.patientharbor.tracing.TracedValue.Unknown;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.tree.AbstractInsnNode;
import org.objectweb.asm.tree.JumpInsnNode;
import org.objectweb.asm.tree.LabelNode;
import org.objectweb.asm.tree.LineNumberNode;
import org.objectweb.asm.tree.LookupSwitchInsnNode;
import org.objectweb.asm.tree.TableSwitchInsnNode;
import org.objectweb.asm.tree.analysis.AnalyzerException;
import org.objectweb.asm.tree.analysis.Frame;

/** One run of one method: goes from instruction to instruction, and chooses where ways part. */
final class MethodRun {

    private final WiringRun wiring;
    private final BodyTrees.Body body;
    private final MethodName name;
    private final Frame<OperandValue> frame;
    private final InstructionMeaning meaning;
    private final Map<AbstractInsnNode, Integer> chosen = new HashMap<>();
    private int line;

    MethodRun(
            WiringRun wiring,
            BodyTrees.Body body,
            Optional<TracedObject> self,
            List<TracedValue> arguments) {
        this.wiring = wiring;
        this.body = body;
        name =
                new MethodName(
                        body.owner().name.replace('/', '.'),
                        body.method().name,
                        body.method().desc);
        frame = new Frame<>(body.method().maxLocals, body.method().maxStack);
        meaning = new InstructionMeaning(wiring, this, name, self);
        setVariables(self, arguments);
    }

    private void setVariables(Optional<TracedObject> self, List<TracedValue> arguments) {
        int local = 0;
        if (self.isPresent()) {
            frame.setLocal(local++, OperandValue.of(self.get()));
        }
        Type[] types = Type.getArgumentTypes(name.descriptor());
        for (int i = 0; i < types.length; i++) {
            frame.setLocal(local++, OperandValue.of(arguments.get(i), types[i]));
            if (types[i].getSize() == 2) {
                frame.setLocal(local++, OperandValue.of(meaning.unknown("half a number")));
            }
        }
        while (local < frame.getLocals()) {
            frame.setLocal(local++, OperandValue.of(meaning.unknown("a variable without a value")));
        }
    }

    int line() {
        return line;
    }

    /** Returns what the method returns; {@code null} of the code if it returns nothing. */
    TracedValue run() {
        AbstractInsnNode each = body.method().instructions.getFirst();
        while (each != null) {
            wiring.step();
            int opcode = each.getOpcode();
            if (each instanceof LineNumberNode number) {
                line = number.line;
                each = each.getNext();
            } else if (opcode < 0) {
                each = each.getNext();
            } else if (each instanceof JumpInsnNode jump) {
                each = jump(jump) ? jump.label : each.getNext();
            } else if (each instanceof TableSwitchInsnNode table) {
                List<Integer> keys = new ArrayList<>();
                for (int key = table.min; key <= table.max; key++) {
                    keys.add(key);
                }
                each = select(each, keys, table.labels, table.dflt);
            } else if (each instanceof LookupSwitchInsnNode lookup) {
                each = select(each, lookup.keys, lookup.labels, lookup.dflt);
            } else if (opcode == Opcodes.RETURN) {
                return new Nothing();
            } else if (opcode >= Opcodes.IRETURN && opcode <= Opcodes.ARETURN) {
                return frame.pop().value();
            } else if (opcode == Opcodes.ATHROW || opcode == Opcodes.JSR || opcode == Opcodes.RET) {
                throw new WiringRun.WayEnds();
            } else {
                execute(each);
                each = each.getNext();
            }
        }
        throw new WiringRun.WayEnds();
    }

    private void execute(AbstractInsnNode each) {
        try {
            frame.execute(each, meaning);
        } catch (AnalyzerException damaged) {
            throw new WiringRun.WayEnds();
        }
    }

    private boolean jump(JumpInsnNode jump) {
        int opcode = jump.getOpcode();
        if (opcode == Opcodes.GOTO) {
            return true;
        }
        boolean areTwo = opcode >= Opcodes.IF_ICMPEQ && opcode <= Opcodes.IF_ACMPNE;
        TracedValue second = areTwo ? frame.pop().value() : new Constant(0);
        TracedValue first = frame.pop().value();
        Optional<Boolean> known = JumpCondition.holds(opcode, first, second);
        if (known.isPresent()) {
            return known.get();
        }
        boolean isFirstTime = !chosen.containsKey(jump);
        // A loop over what is not known is gone through once, or not at all.
        int way =
                chosen.merge(jump, isFirstTime ? wiring.choose(2) : 0, (before, now) -> 1 - before);
        boolean jumps = way == 1;
        if (isFirstTime) {
            boolean whenZero = opcode == Opcodes.IFEQ;
            Optional<TracedValue.Comparison> comparison =
                    whenZero || opcode == Opcodes.IFNE
                            ? first.unknown().flatMap(Unknown::equal).or(() -> isTrue(first))
                            : JumpCondition.comparison(opcode, first, second);
            boolean holds = opcode == Opcodes.IFEQ || opcode == Opcodes.IF_ICMPNE ? !jumps : jumps;
            wiring.decided(comparison, holds, line);
        }
        return jumps;
    }

    /** A setting that is read as a truth value. */
    private static Optional<TracedValue.Comparison> isTrue(TracedValue value) {
        return value.written()
                .filter(text -> value.constant().isEmpty())
                .map(text -> new TracedValue.Comparison(JdkCalls.what(value), "true"));
    }

    private AbstractInsnNode select(
            AbstractInsnNode at, List<Integer> keys, List<LabelNode> labels, LabelNode otherwise) {
        TracedValue value = frame.pop().value();
        Optional<Object> known = value.constant();
        if (known.isPresent() && known.get() instanceof Integer number) {
            int index = keys.indexOf(number);
            return index < 0 ? otherwise : labels.get(index);
        }
        List<LabelNode> ways = new ArrayList<>();
        labels.stream().filter(label -> !ways.contains(label)).forEach(ways::add);
        if (!ways.contains(otherwise)) {
            ways.add(otherwise);
        }
        LabelNode way = chosen.containsKey(at) ? otherwise : ways.get(wiring.choose(ways.size()));
        chosen.put(at, 0);
        int key = labels.indexOf(way);
        boolean isOfHash =
                value.unknown()
                        .filter(unknown -> unknown.what().startsWith(InstructionMeaning.HASH))
                        .isPresent();
        if (!isOfHash) {
            wiring.decided(
                    value.unknown()
                            .filter(unknown -> key >= 0 && way != otherwise)
                            .map(
                                    unknown ->
                                            new TracedValue.Comparison(
                                                    unknown.what(), String.valueOf(keys.get(key)))),
                    way != otherwise,
                    line);
        }
        return way;
    }

    /** Returns what a field of a type holds before anything is put into it. */
    static TracedValue initial(Type type) {
        return switch (type.getSort()) {
            case Type.OBJECT, Type.ARRAY -> new Nothing();
            case Type.LONG -> new Constant(0L);
            case Type.FLOAT -> new Constant(0f);
            case Type.DOUBLE -> new Constant(0d);
            default -> new Constant(0);
        };
    }

    static String shortName(String type) {
        return type.substring(type.lastIndexOf('.') + 1).replace('$', '.');
    }
}
