package dev.patientharbor.terms;

import dev.patientharbor.texts.RequiredArgument;
import java.util.Arrays;
import java.util.Optional;

/** From where a slot may be filled that nothing binds. */
public enum FillInSource {
    /** The only implementation in the code. */
    SOLE,
    /** Classes that carry a name, a qualifier or a scope of the open standard. */
    MARKED,
    /** The service files of the code, {@code META-INF/services}. */
    SERVICES;

    /** The word that people read and write, such as {@code marked}. */
    public String word() {
        return switch (this) {
            case SOLE -> "sole";
            case MARKED -> "marked";
            case SERVICES -> "services";
        };
    }

    /** Returns the source that a word names; empty for another word. */
    public static Optional<FillInSource> of(String word) {
        RequiredArgument.of(word, "word");
        return Arrays.stream(values()).filter(source -> source.word().equals(word)).findFirst();
    }
}
