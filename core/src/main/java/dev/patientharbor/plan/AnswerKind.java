package dev.patientharbor.plan;

import dev.patientharbor.terms.ImplementationKind;
import dev.patientharbor.texts.RequiredArgument;

/** What a need receives, in one word. */
public enum AnswerKind {
    REAL,
    FAKE,
    STUB,
    MOCK,
    VALUE,
    FACTORY,
    COLLECTION,
    ABSENT,
    UNMET;

    /** Returns the answer for an implementation of that kind. */
    public static AnswerKind of(ImplementationKind kind) {
        RequiredArgument.of(kind, "kind");
        return switch (kind) {
            case REAL -> REAL;
            case FAKE -> FAKE;
            case STUB -> STUB;
            case MOCK -> MOCK;
        };
    }

    /** Returns whether it stands in for the real thing. */
    public boolean isStandIn() {
        return switch (this) {
            case FAKE, STUB, MOCK -> true;
            case REAL, VALUE, FACTORY, COLLECTION, ABSENT, UNMET -> false;
        };
    }

    /** Returns whether it is the real thing. */
    public boolean isReal() {
        return switch (this) {
            case REAL, VALUE, FACTORY -> true;
            case FAKE, STUB, MOCK, COLLECTION, ABSENT, UNMET -> false;
        };
    }

    /** The word that people and machines read, such as {@code unmet}. */
    public String word() {
        return switch (this) {
            case REAL -> "real";
            case FAKE -> "fake";
            case STUB -> "stub";
            case MOCK -> "mock";
            case VALUE -> "value";
            case FACTORY -> "factory";
            case COLLECTION -> "collection";
            case ABSENT -> "absent";
            case UNMET -> "unmet";
        };
    }
}
