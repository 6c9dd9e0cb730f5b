package dev.patientharbor.report;

import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Arrays;

/** How the box of a node is drawn: kinds are told by outline too, not by colour alone. */
public enum GraphShape {
    /** A thick outline. */
    ENTRY,
    /** A plain outline. */
    REAL,
    /** A dashed outline. */
    STAND_IN,
    /** A dotted outline. */
    UNMET;

    /** Returns the shape for the word of a kind. */
    public static GraphShape of(String kind) {
        RequiredArgument.of(kind, "kind");
        return Arrays.stream(AnswerKind.values())
                .filter(each -> each.word().equals(kind))
                .findFirst()
                .map(GraphShape::of)
                .orElse(ENTRY);
    }

    private static GraphShape of(AnswerKind kind) {
        return switch (kind) {
            case REAL, VALUE, FACTORY, COLLECTION, ABSENT -> REAL;
            case FAKE, STUB, MOCK -> STAND_IN;
            case UNMET -> UNMET;
        };
    }
}
