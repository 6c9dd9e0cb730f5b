package dev.patientharbor.tracing;

import dev.patientharbor.tracing.TracedValue.Constant;
import java.util.Optional;
import org.objectweb.asm.Opcodes;

/** The arithmetic that wiring does with constants (JVMS 6.5); no other is followed. */
final class NumberMeaning {

    private NumberMeaning() {}

    static Optional<TracedValue> binary(int opcode, TracedValue first, TracedValue second) {
        Optional<Object> one = first.constant();
        Optional<Object> other = second.constant();
        if (one.isEmpty() || other.isEmpty()) {
            return Optional.empty();
        }
        if (one.get() instanceof Integer a && other.get() instanceof Integer b) {
            return ofInts(opcode, a, b).map(Constant::new);
        }
        return one.get() instanceof Long a && other.get() instanceof Long b
                ? ofLongs(opcode, a, b).map(Constant::new)
                : Optional.empty();
    }

    private static Optional<Integer> ofInts(int opcode, int a, int b) {
        return switch (opcode) {
            case Opcodes.IADD -> Optional.of(a + b);
            case Opcodes.ISUB -> Optional.of(a - b);
            case Opcodes.IMUL -> Optional.of(a * b);
            case Opcodes.IAND -> Optional.of(a & b);
            case Opcodes.IOR -> Optional.of(a | b);
            case Opcodes.ISHL -> Optional.of(a << b);
            default -> Optional.empty();
        };
    }

    private static Optional<Long> ofLongs(int opcode, long a, long b) {
        return switch (opcode) {
            case Opcodes.LADD -> Optional.of(a + b);
            case Opcodes.LSUB -> Optional.of(a - b);
            case Opcodes.LMUL -> Optional.of(a * b);
            default -> Optional.empty();
        };
    }

    static Optional<TracedValue> unary(int opcode, TracedValue value) {
        return value.constant()
                .filter(Number.class::isInstance)
                .map(Number.class::cast)
                .flatMap(number -> converted(opcode, number))
                .map(Constant::new);
    }

    private static Optional<Number> converted(int opcode, Number number) {
        return switch (opcode) {
            case Opcodes.INEG -> Optional.of(-number.intValue());
            case Opcodes.LNEG -> Optional.of(-number.longValue());
            case Opcodes.DNEG -> Optional.of(-number.doubleValue());
            case Opcodes.FNEG -> Optional.of(-number.floatValue());
            case Opcodes.I2L, Opcodes.F2L, Opcodes.D2L -> Optional.of(number.longValue());
            case Opcodes.I2D, Opcodes.L2D, Opcodes.F2D -> Optional.of(number.doubleValue());
            case Opcodes.I2F, Opcodes.L2F, Opcodes.D2F -> Optional.of(number.floatValue());
            case Opcodes.L2I, Opcodes.F2I, Opcodes.D2I -> Optional.of(number.intValue());
            case Opcodes.I2B -> Optional.of((int) number.byteValue());
            case Opcodes.I2S -> Optional.of((int) number.shortValue());
            case Opcodes.I2C -> Optional.of((int) (char) number.intValue());
            default -> Optional.empty();
        };
    }

    /** Returns how many places the result of an instruction takes on the stack. */
    static int size(int opcode) {
        return switch (opcode) {
            case Opcodes.LADD,
                    Opcodes.LSUB,
                    Opcodes.LMUL,
                    Opcodes.LDIV,
                    Opcodes.LREM,
                    Opcodes.LSHL,
                    Opcodes.LSHR,
                    Opcodes.LUSHR,
                    Opcodes.LAND,
                    Opcodes.LOR,
                    Opcodes.LXOR,
                    Opcodes.LNEG,
                    Opcodes.DADD,
                    Opcodes.DSUB,
                    Opcodes.DMUL,
                    Opcodes.DDIV,
                    Opcodes.DREM,
                    Opcodes.DNEG,
                    Opcodes.I2L,
                    Opcodes.F2L,
                    Opcodes.D2L,
                    Opcodes.I2D,
                    Opcodes.L2D,
                    Opcodes.F2D ->
                    2;
            default -> 1;
        };
    }
}
