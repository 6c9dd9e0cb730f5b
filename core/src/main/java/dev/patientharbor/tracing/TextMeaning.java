package dev.patientharbor.tracing;

import dev.patientharbor.tracing.TracedValue.Constant;
import dev.patientharbor.tracing.TracedValue.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.objectweb.asm.tree.InvokeDynamicInsnNode;

/** Texts that are put together of constants and settings. */
final class TextMeaning {

    private static final char ARGUMENT = '\1';
    private static final char CONSTANT = '\2';

    private TextMeaning() {}

    /** Returns a text that the compiler's recipe puts together; empty if a part is not known. */
    static Optional<TracedValue> joined(InvokeDynamicInsnNode made, List<TracedValue> held) {
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
