package dev.patientharbor.tracing;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.tracing.TracedValue.Constant;
import dev.patientharbor.tracing.TracedValue.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.objectweb.asm.Type;
import org.objectweb.asm.tree.InvokeDynamicInsnNode;

/** Texts that are put together of constants and settings. */
final class TextMeaning {

    private static final char ARGUMENT = '\1';
    private static final char CONSTANT = '\2';

    private TextMeaning() {}

    /** Returns arguments as they read in a text: characters and truth values are no numbers. */
    static List<TracedValue> seen(MethodName called, List<TracedValue> arguments) {
        return seen(called.descriptor(), arguments);
    }

    private static List<TracedValue> seen(String descriptor, List<TracedValue> arguments) {
        Type[] types = Type.getArgumentTypes(descriptor);
        List<TracedValue> seen = new ArrayList<>();
        for (int i = 0; i < arguments.size(); i++) {
            seen.add(seen(types[i], arguments.get(i)));
        }
        return seen;
    }

    private static TracedValue seen(Type type, TracedValue value) {
        if (value.constant().isEmpty() || !(value.constant().get() instanceof Integer number)) {
            return value;
        }
        return switch (type.getSort()) {
            case Type.BOOLEAN -> new Constant(String.valueOf(number != 0));
            case Type.CHAR -> new Constant(String.valueOf((char) (int) number));
            default -> value;
        };
    }

    /** Returns a text that the compiler's recipe puts together; empty if a part is not known. */
    static Optional<TracedValue> joined(InvokeDynamicInsnNode made, List<TracedValue> given) {
        List<TracedValue> held = seen(made.desc, given);
        if (!made.bsm.getName().equals("makeConcatWithConstants")
                || !(made.bsmArgs[0] instanceof String recipe)) {
            return joined(held);
        }
        List<TracedValue> parts = new ArrayList<>();
        int argument = 0;
        int constant = 1;
        for (char each : recipe.toCharArray()) {
            if (each == ARGUMENT) {
                parts.add(held.get(argument++));
            } else if (each == CONSTANT) {
                parts.add(new Constant(String.valueOf(made.bsmArgs[constant++])));
            } else {
                parts.add(new Constant(String.valueOf(each)));
            }
        }
        return joined(parts);
    }

    /** Returns a text of some parts; empty if one is not known. */
    static Optional<TracedValue> joined(List<TracedValue> parts) {
        StringBuilder text = new StringBuilder();
        StringBuilder template = new StringBuilder();
        boolean isConstant = true;
        for (TracedValue part : parts) {
            Optional<String> written = part.written();
            if (written.isEmpty()) {
                return Optional.empty();
            }
            isConstant &= part.constant().isPresent();
            part.constant().ifPresent(text::append);
            template.append(written.get());
        }
        return Optional.of(
                isConstant ? new Constant(text.toString()) : new Setting(template.toString()));
    }
}
