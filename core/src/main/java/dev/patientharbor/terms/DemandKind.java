package dev.patientharbor.terms;

/** What a rule of a profile may demand. */
public enum DemandKind {
    /** No fake, stub or mock anywhere. */
    NO_STAND_INS("stand-ins"),
    /** These keys of a contract are served. */
    KEYS("keys"),
    /** This decorator is the outermost. */
    OUTERMOST("outermost"),
    /** The real thing, whatever the key and the level. */
    MUST_BE_REAL("must-be-real"),
    /** Never the real thing, whatever the key and the level, used or not. */
    NEVER_REAL("never-real"),
    /** It lives as long as that. */
    LIFETIME("lifetimes"),
    /** Nothing in the plan reaches these things outside. */
    UNTOUCHED("untouched");

    private final String word;

    DemandKind(String word) {
        this.word = word;
    }

    /** Returns whether it is about slots; the others are about the whole plan. */
    public boolean isOfSlots() {
        return this != NO_STAND_INS && this != UNTOUCHED;
    }

    /** The word that says it, as in a file. */
    public String word() {
        return word;
    }
}
