package dev.patientharbor.plan;

import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.texts.RequiredArgument;

/**
 * A lifetime, and what decided it.
 *
 * @param lifetime how long an instance lives
 * @param by what said so
 */
public record LifetimeChoice(Lifetime lifetime, By by) {
    public LifetimeChoice {
        RequiredArgument.of(lifetime, "lifetime");
        RequiredArgument.of(by, "by");
    }

    /** What can decide a lifetime, strongest first. */
    public enum By {
        BINDING,
        MARK,
        PROFILE,
        DEFAULT;

        /** The words that people read, such as {@code by default}. */
        public String words() {
            return switch (this) {
                case BINDING -> "by the binding";
                case MARK -> "by its mark";
                case PROFILE -> "by the profile";
                case DEFAULT -> "by default";
            };
        }
    }
}
