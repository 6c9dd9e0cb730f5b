package dev.patientharbor.model;

import java.util.Optional;

/**
 * How far a need may look.
 *
 * @param need the name of a need, or a slot, as written; the name wins where both fit
 * @param range how far
 * @param upTo the outermost area that is looked at; only for {@link Range#UP_TO}
 */
public record Reach(WrittenName need, Range range, Optional<WrittenName> upTo) {

    /** The ranges. */
    public enum Range {
        /** From the consumer outward, the nearest wins: what holds where nothing is said. */
        NEAREST,
        /** The consumer and its innermost area alone. */
        OWN,
        /** All but the consumer and its innermost area. */
        OUTSIDE,
        /** From the consumer outward to a named area. */
        UP_TO;

        /** The word that people read and write, such as {@code outside}. */
        public String word() {
            return switch (this) {
                case NEAREST -> "nearest";
                case OWN -> "own";
                case OUTSIDE -> "outside";
                case UP_TO -> "up-to";
            };
        }
    }
}
