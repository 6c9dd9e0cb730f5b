package dev.patientharbor.finding;

import dev.patientharbor.texts.RequiredArgument;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** How grave a finding is, mildest first. */
public enum Severity {
    NOTE,
    WARNING,
    ERROR;

    /** Returns the severity of a word, in small or large letters; empty if it is that of none. */
    public static Optional<Severity> of(String word) {
        RequiredArgument.of(word, "word");
        return Arrays.stream(values())
                .filter(severity -> severity.word().equals(word.toLowerCase(Locale.ROOT)))
                .findFirst();
    }

    /** The word that people and machines read, such as {@code warning}. */
    public String word() {
        return switch (this) {
            case NOTE -> "note";
            case WARNING -> "warning";
            case ERROR -> "error";
        };
    }
}
