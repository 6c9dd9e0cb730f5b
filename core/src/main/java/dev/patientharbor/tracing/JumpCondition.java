package dev.patientharbor.tracing;

import java.util.Optional;
import org.objectweb.asm.Opcodes;

/** Whether a jump is taken, as far as its values are known. */
final class JumpCondition {

    private JumpCondition() {}

    /** Returns whether it is taken; empty if that cannot be told. */
    static Optional<Boolean> holds(int opcode, TracedValue first, TracedValue second) {
        return switch (opcode) {
            case Opcodes.IFNULL -> isNothing(first);
            case Opcodes.IFNONNULL -> isNothing(first).map(is -> !is);
            case Opcodes.IF_ACMPEQ -> isSame(first, second);
            case Opcodes.IF_ACMPNE -> isSame(first, second).map(is -> !is);
            default -> compare(first, second).map(sign -> holds(opcode, sign));
        };
    }

    private static boolean holds(int opcode, int sign) {
        return switch (opcode) {
            case Opcodes.IFEQ, Opcodes.IF_ICMPEQ -> sign == 0;
            case Opcodes.IFNE, Opcodes.IF_ICMPNE -> sign != 0;
            case Opcodes.IFLT, Opcodes.IF_ICMPLT -> sign < 0;
            case Opcodes.IFGE, Opcodes.IF_ICMPGE -> sign >= 0;
            case Opcodes.IFGT, Opcodes.IF_ICMPGT -> sign > 0;
            default -> sign <= 0;
        };
    }

    private static Optional<Integer> compare(TracedValue first, TracedValue second) {
        return first.constant()
                .flatMap(
                        one ->
                                second.constant()
                                        .filter(other -> one instanceof Integer)
                                        .filter(other -> other instanceof Integer)
                                        .map(other -> Integer.compare((int) one, (int) other)));
    }

    private static Optional<Boolean> isNothing(TracedValue value) {
        boolean isSetting = value.written().isPresent() && value.constant().isEmpty();
        return value.unknown().isPresent() || isSetting
                ? Optional.empty()
                : Optional.of(value.isNothing());
    }

    private static Optional<Boolean> isSame(TracedValue first, TracedValue second) {
        boolean isKnown = isNothing(first).isPresent() && isNothing(second).isPresent();
        boolean areTexts =
                first.constant().filter(String.class::isInstance).isPresent()
                        && second.constant().filter(String.class::isInstance).isPresent();
        return isKnown && !areTexts ? Optional.of(first.equals(second)) : Optional.empty();
    }

    /** Returns the comparison that a jump for equal numbers, or equal constants, makes. */
    static Optional<TracedValue.Comparison> comparison(
            int opcode, TracedValue first, TracedValue second) {
        boolean isEquality =
                switch (opcode) {
                    case Opcodes.IF_ICMPEQ,
                            Opcodes.IF_ICMPNE,
                            Opcodes.IF_ACMPEQ,
                            Opcodes.IF_ACMPNE ->
                            true;
                    default -> false;
                };
        return isEquality
                ? first.unknown()
                        .flatMap(
                                unknown ->
                                        second.constant()
                                                .map(
                                                        constant ->
                                                                new TracedValue.Comparison(
                                                                        unknown.what(),
                                                                        constant.toString())))
                : Optional.empty();
    }
}
