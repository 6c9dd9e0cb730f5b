package dev.patientharbor.survey;

import dev.patientharbor.texts.RequiredArgument;
import java.util.Arrays;
import java.util.Optional;

/** What code can reach outside the program. */
public enum TouchKind {
    /** Other machines, and other programs on this one, by its sockets. */
    NETWORK("network", "the network"),
    /** Files and folders. */
    FILES("files", "files"),
    /** Databases. */
    DATABASE("database", "a database"),
    /** Other processes, and the end of this one. */
    PROCESS("process", "a process"),
    /** The time, and waiting for it. */
    CLOCK("clock", "the clock"),
    /** What is different each time. */
    RANDOMNESS("randomness", "randomness"),
    /** Variables, properties and defaults of the machine and the process. */
    ENVIRONMENT("environment", "the environment"),
    /** Standard input and output. */
    CONSOLE("console", "the console"),
    /** Code that is not Java's. */
    NATIVE_CODE("native-code", "native code");

    private final String word;
    private final String phrase;

    TouchKind(String word, String phrase) {
        this.word = word;
        this.phrase = phrase;
    }

    /** Returns the kind of a word; empty if there is none. */
    public static Optional<TouchKind> of(String word) {
        RequiredArgument.of(word, "word");
        return Arrays.stream(values()).filter(kind -> kind.word.equals(word)).findFirst();
    }

    /** Returns what files and reports call it. */
    public String word() {
        return word;
    }

    /** Returns what a sentence calls it: {@code the network}. */
    public String phrase() {
        return phrase;
    }
}
