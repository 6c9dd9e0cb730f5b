package dev.patientharbor.terms;

import dev.patientharbor.texts.RequiredArgument;
import java.util.Arrays;
import java.util.Optional;

/** How long one instance lives. */
public enum Lifetime {
    /** One for a rig and a binding. */
    SHARED("shared", true, false, true),
    /** One for each need. */
    FRESH("fresh", false, false, false),
    /** One for each opened scope. */
    SCOPED("scoped", true, true, false);

    private final String word;
    private final boolean kept;
    private final boolean ofScope;
    private final boolean ofRig;

    Lifetime(String word, boolean kept, boolean ofScope, boolean ofRig) {
        this.word = word;
        this.kept = kept;
        this.ofScope = ofScope;
        this.ofRig = ofRig;
    }

    /** The word that people and machines read, such as {@code shared}. */
    public String word() {
        return word;
    }

    /** Whether the object is there again for whoever asks again. */
    public boolean isKept() {
        return kept;
    }

    /** Whether the object lives as long as a scope does. */
    public boolean isOfScope() {
        return ofScope;
    }

    /** Whether the object lives as long as the whole rig, so that nothing outlives it. */
    public boolean isOfRig() {
        return ofRig;
    }

    /** Returns the lifetime that a word names; empty for another word. */
    public static Optional<Lifetime> of(String word) {
        RequiredArgument.of(word, "word");
        return Arrays.stream(values()).filter(lifetime -> lifetime.word().equals(word)).findFirst();
    }
}
