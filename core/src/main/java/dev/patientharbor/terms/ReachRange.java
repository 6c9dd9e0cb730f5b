package dev.patientharbor.terms;

/** How far a need looks for what fills its slot. */
public enum ReachRange {
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
