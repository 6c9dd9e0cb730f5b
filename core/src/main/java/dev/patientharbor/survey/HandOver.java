package dev.patientharbor.survey;

import dev.patientharbor.texts.RequiredArgument;
import java.util.Comparator;
import java.util.Optional;

/**
 * One thing that a hand wiring hands to an object, and what a profile gives it. Immutable.
 *
 * @param at where the object is made
 * @param consumer the binary name of its class; {@code Class#method} if a method makes it
 * @param need the name of the parameter or field
 * @param handed what it is handed: classes by binary names, decorators first; a value as it is
 *     written; why it cannot be told, if it is not understood
 * @param isUnderstood whether it could be followed
 * @param held what the profile gives it instead; empty if it is the same
 */
public record HandOver(
        CodeLocation at,
        String consumer,
        String need,
        String handed,
        boolean isUnderstood,
        Optional<String> held) {

    public HandOver {
        RequiredArgument.of(at, "at");
        RequiredArgument.of(consumer, "consumer");
        RequiredArgument.of(need, "need");
        RequiredArgument.of(handed, "handed");
        RequiredArgument.of(held, "held");
    }

    /** Sorts by place, consumer and need. */
    public static final Comparator<HandOver> ORDER =
            Comparator.comparing(HandOver::at, CodeLocation.ORDER)
                    .thenComparing(HandOver::consumer)
                    .thenComparing(HandOver::need);

    /** Returns whether the profile gives the same. */
    public boolean isSame() {
        return isUnderstood && held.isEmpty();
    }
}
