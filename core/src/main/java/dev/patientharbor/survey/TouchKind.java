package dev.patientharbor.survey;

import dev.patientharbor.texts.RequiredArgument;
import java.util.Arrays;
import java.util.Optional;

/** What code can reach outside the program. */
public enum TouchKind {
    /** Other machines, and other programs on this one, by its sockets. */
    NETWORK("network"),
    /** Files and folders. */
    FILES("files"),
    /** Databases. */
    DATABASE("database"),
    /** Other processes, and the end of this one. */
    PROCESS("process"),
    /** The time, and waiting for it. */
    CLOCK("clock"),
    /** What is different each time. */
    RANDOMNESS("randomness"),
    /** Variables, properties and defaults of the machine and the process. */
    ENVIRONMENT("environment"),
    /** Standard input and output. */
    CONSOLE("console"),
    /** Code that is not Java's. */
    NATIVE_CODE("native-code");

    private final String word;

    TouchKind(String word) {
        this.word = word;
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
}
