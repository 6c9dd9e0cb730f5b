package dev.patientharbor.model;

import java.util.Arrays;
import java.util.Optional;

/** How long one instance lives. */
public enum Lifetime {
    /** One for a rig and a binding. */
    SHARED,
    /** One for each need. */
    FRESH,
    /** One for each opened scope. */
    SCOPED;

    /** The word that people and machines read, such as {@code shared}. */
    public String word() {
        return switch (this) {
            case SHARED -> "shared";
            case FRESH -> "fresh";
            case SCOPED -> "scoped";
        };
    }

    /** The lifetime of that word, if it is one. */
    public static Optional<Lifetime> of(String word) {
        return Arrays.stream(values()).filter(lifetime -> lifetime.word().equals(word)).findFirst();
    }
}
