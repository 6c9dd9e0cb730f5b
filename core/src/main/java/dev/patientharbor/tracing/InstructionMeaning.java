package dev.patientharbor.tracing;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.tracing.TracedValue.ClassConstant;
import dev.patientharbor.tracing.TracedValue.Constant;
import dev.patientharbor.tracing.TracedValue.Nothing;
import dev.patientharbor.tracing.TracedValue.Unknown;
import java.util.List;
import java.util.Optional;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.tree.AbstractInsnNode;
import org.objectweb.asm.tree.FieldInsnNode;
import org.objectweb.asm.tree.IincInsnNode;
import org.objectweb.asm.tree.IntInsnNode;
import org.objectweb.asm.tree.InvokeDynamicInsnNode;
import org.objectweb.asm.tree.LdcInsnNode;
import org.objectweb.asm.tree.MethodInsnNode;
import org.objectweb.asm.tree.TypeInsnNode;
import org.objectweb.asm.tree.analysis.Interpreter;

/** What each instruction makes of the values that it takes (JVMS 6.5). */
final class InstructionMeaning extends Interpreter<OperandValue> {

    /** How what a hash is of is called: it decides nothing by itself. */
    static final String HASH = "the hash of ";

    private final WiringRun wiring;
    private final MethodRun run;
    private final MethodName name;
    private final Optional<TracedObject> self;
    private final CallMeaning calls;

    InstructionMeaning(
            WiringRun wiring, MethodRun run, MethodName name, Optional<TracedObject> self) {
        super(Opcodes.ASM9);
        this.wiring = wiring;
        this.run = run;
        this.name = name;
        this.self = self;
        calls = new CallMeaning(wiring, run, name, self);
    }

    Unknown unknown(String what) {
        return new Unknown(what, run.line(), Optional.empty());
    }

    private OperandValue computed(int size) {
        return new OperandValue(unknown("a computed value"), size);
    }

    @Override
    public OperandValue newValue(Type type) {
        return type == Type.VOID_TYPE
                ? null
                : OperandValue.of(unknown("a value"), type == null ? Type.INT_TYPE : type);
    }

    @Override
    public OperandValue newOperation(AbstractInsnNode each) {
        int opcode = each.getOpcode();
        if (opcode == Opcodes.ACONST_NULL) {
            return OperandValue.of(new Nothing());
        }
        if (opcode <= Opcodes.ICONST_5) {
            return OperandValue.of(new Constant(opcode - Opcodes.ICONST_0));
        }
        if (opcode <= Opcodes.LCONST_1) {
            return new OperandValue(new Constant((long) (opcode - Opcodes.LCONST_0)), 2);
        }
        if (opcode <= Opcodes.FCONST_2) {
            return OperandValue.of(new Constant((float) (opcode - Opcodes.FCONST_0)));
        }
        if (opcode <= Opcodes.DCONST_1) {
            return new OperandValue(new Constant((double) (opcode - Opcodes.DCONST_0)), 2);
        }
        if (each instanceof IntInsnNode number) {
            return OperandValue.of(new Constant(number.operand));
        }
        if (each instanceof LdcInsnNode load) {
            return loaded(load.cst);
        }
        if (each instanceof FieldInsnNode field) {
            Type type = Type.getType(field.desc);
            return OperandValue.of(
                    wiring.staticField(className(field.owner), field.name, type, run.line()), type);
        }
        return OperandValue.of(made(className(((TypeInsnNode) each).desc)));
    }

    private OperandValue loaded(Object constant) {
        if (constant instanceof Type type) {
            return OperandValue.of(
                    type.getSort() == Type.METHOD
                            ? unknown("the type of a method")
                            : new Constant(new ClassConstant(type.getClassName())));
        }
        boolean isPlain = constant instanceof Number || constant instanceof String;
        int size = constant instanceof Long || constant instanceof Double ? 2 : 1;
        return new OperandValue(
                isPlain ? new Constant(constant) : unknown("a constant that is computed"), size);
    }

    private TracedValue made(String type) {
        return JdkCollections.made(type)
                .<TracedValue>map(collection -> collection)
                .orElseGet(() -> wiring.make(type, name, run.line()));
    }

    @Override
    public OperandValue copyOperation(AbstractInsnNode each, OperandValue value) {
        return value;
    }

    @Override
    public OperandValue unaryOperation(AbstractInsnNode each, OperandValue value) {
        int opcode = each.getOpcode();
        if (each instanceof IincInsnNode increment) {
            return OperandValue.of(
                    NumberMeaning.binary(Opcodes.IADD, value.value(), new Constant(increment.incr))
                            .orElseGet(() -> unknown("a computed value")));
        }
        if (each instanceof FieldInsnNode field) {
            Type type = Type.getType(field.desc);
            if (opcode == Opcodes.PUTSTATIC) {
                wiring.putStatic(className(field.owner), field.name, value.value());
                return null;
            }
            return OperandValue.of(field(value.value(), field.name, type), type);
        }
        return switch (opcode) {
            case Opcodes.CHECKCAST -> value;
            case Opcodes.NEWARRAY, Opcodes.ANEWARRAY -> OperandValue.of(array(each, value.value()));
            case Opcodes.ARRAYLENGTH ->
                    OperandValue.of(
                            value.value()
                                    .collection()
                                    .filter(array -> array.beyond().isEmpty())
                                    .<TracedValue>map(array -> new Constant(array.entries().size()))
                                    .orElseGet(() -> unknown("the length of an array")));
            case Opcodes.INSTANCEOF -> OperandValue.of(unknown("whether something is of a class"));
            default ->
                    new OperandValue(
                            NumberMeaning.unary(opcode, value.value())
                                    .orElseGet(() -> unknown("a computed value")),
                            NumberMeaning.size(opcode));
        };
    }

    private TracedValue field(TracedValue of, String field, Type type) {
        Optional<TracedObject> object = of.object();
        if (object.isEmpty()) {
            return unknown("the field " + field + " of something that is not known");
        }
        if (self.filter(object.get()::equals).isEmpty()) {
            wiring.constructNow(object.get());
        }
        TracedValue held = object.get().fields().get(field);
        boolean isWhole =
                object.get().maker().filter(maker -> maker.method().isPresent()).isEmpty();
        return held != null
                ? held
                : isWhole ? MethodRun.initial(type) : unknown("the field " + field);
    }

    /** An array of a known size, filled with what it holds at first. */
    private TracedValue array(AbstractInsnNode each, TracedValue size) {
        TracedCollection array = new TracedCollection(TracedCollection.Kind.ELEMENTS);
        Optional<Object> known = size.constant();
        if (known.isEmpty() || (int) known.get() > JdkCollections.LARGEST) {
            array.addUnknown(unknown("an array of a size that is not known"));
            return array;
        }
        for (int i = 0; i < (int) known.get(); i++) {
            array.add(each.getOpcode() == Opcodes.ANEWARRAY ? new Nothing() : new Constant(0));
        }
        return array;
    }

    @Override
    public OperandValue binaryOperation(
            AbstractInsnNode each, OperandValue first, OperandValue second) {
        int opcode = each.getOpcode();
        if (each instanceof FieldInsnNode field) {
            first.value().object().ifPresent(object -> put(object, field, second.value()));
            return null;
        }
        if (opcode >= Opcodes.IALOAD && opcode <= Opcodes.SALOAD) {
            int size = opcode == Opcodes.LALOAD || opcode == Opcodes.DALOAD ? 2 : 1;
            return new OperandValue(
                    element(first.value(), second.value())
                            .orElseGet(() -> elementUnknown(first.value(), second.value())),
                    size);
        }
        return NumberMeaning.binary(opcode, first.value(), second.value())
                .map(value -> new OperandValue(value, NumberMeaning.size(opcode)))
                .orElseGet(() -> computed(NumberMeaning.size(opcode)));
    }

    private Unknown elementUnknown(TracedValue array, TracedValue index) {
        return unknown(
                array.unknown().map(Unknown::what).orElse("an array")
                        + index.constant().map(number -> "[" + number + "]").orElse("[…]"));
    }

    private void put(TracedObject object, FieldInsnNode field, TracedValue value) {
        if (self.filter(object::equals).isEmpty()) {
            wiring.constructNow(object);
        }
        object.put(field.name, value);
    }

    private static Optional<TracedValue> element(TracedValue array, TracedValue index) {
        return array.collection()
                .filter(held -> held.beyond().isEmpty())
                .flatMap(
                        held ->
                                index.constant()
                                        .filter(number -> (int) number < held.entries().size())
                                        .filter(number -> (int) number >= 0)
                                        .map(number -> held.values().get((int) number)));
    }

    @Override
    public OperandValue ternaryOperation(
            AbstractInsnNode each, OperandValue array, OperandValue index, OperandValue value) {
        array.value()
                .collection()
                .ifPresent(
                        held -> {
                            Optional<Object> number = index.value().constant();
                            boolean isThere =
                                    number.filter(n -> (int) n < held.entries().size())
                                            .filter(n -> (int) n >= 0)
                                            .isPresent();
                            if (isThere) {
                                held.set((int) number.get(), value.value());
                            } else {
                                held.addUnknown(unknown("an element at a place not known"));
                            }
                        });
        return null;
    }

    @Override
    public OperandValue naryOperation(
            AbstractInsnNode each, List<? extends OperandValue> operands) {
        List<TracedValue> values = operands.stream().map(OperandValue::value).toList();
        if (each instanceof MethodInsnNode call) {
            TracedValue result = calls.call(call, values);
            return OperandValue.of(result, Type.getReturnType(call.desc));
        }
        if (each instanceof InvokeDynamicInsnNode made) {
            return OperandValue.of(calls.dynamic(made, values), Type.getReturnType(made.desc));
        }
        return OperandValue.of(unknown("an array of arrays"));
    }

    @Override
    public void returnOperation(AbstractInsnNode each, OperandValue value, OperandValue expected) {
        // What a method returns is taken from the stack by its run.
    }

    @Override
    public OperandValue merge(OperandValue first, OperandValue second) {
        return first;
    }

    static String className(String internalName) {
        return internalName.replace('/', '.');
    }
}
