package dev.patientharbor.terms;

/** What stands behind a contract, in the words of testers. */
public enum ImplementationKind {
    REAL,
    FAKE,
    STUB,
    MOCK;

    /** Whether it stands in for the real thing. */
    public boolean isStandIn() {
        return switch (this) {
            case REAL -> false;
            case FAKE, STUB, MOCK -> true;
        };
    }

    /** The word that people and machines read, such as {@code fake}. */
    public String word() {
        return switch (this) {
            case REAL -> "real";
            case FAKE -> "fake";
            case STUB -> "stub";
            case MOCK -> "mock";
        };
    }
}
