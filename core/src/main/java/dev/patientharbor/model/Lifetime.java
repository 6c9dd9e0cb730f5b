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

    /** Whether the object is there again for whoever asks again. */
    public boolean isKept() {
        return switch (this) {
            case SHARED, SCOPED -> true;
            case FRESH -> false;
        };
    }

    /** Whether the object lives as long as a scope does. */
    public boolean isOfScope() {
        return switch (this) {
            case SCOPED -> true;
            case SHARED, FRESH -> false;
        };
    }

    /** Whether the object lives as long as the whole rig, so that nothing outlives it. */
    public boolean isOfRig() {
        return switch (this) {
            case SHARED -> true;
            case SCOPED, FRESH -> false;
        };
    }

    /** The lifetime of that word, if it is one. */
    public static Optional<Lifetime> of(String word) {
        return Arrays.stream(values()).filter(lifetime -> lifetime.word().equals(word)).findFirst();
    }
}
