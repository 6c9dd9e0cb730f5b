package dev.patientharbor.resolve;

import dev.patientharbor.code.ExecutableFacts;
import java.util.List;

/**
 * Why no object of a class can be made.
 *
 * @param reason what is wrong
 * @param constructors the constructors that it is about
 */
public record BuildFault(Reason reason, List<ExecutableFacts> constructors) {
    public BuildFault {
        constructors = List.copyOf(constructors);
    }

    /** What can be wrong. */
    public enum Reason {
        INTERFACE,
        ABSTRACT,
        ENUM,
        NO_CONSTRUCTOR,
        NO_SUCH_CONSTRUCTOR,
        NO_SUCH_METHOD,
        SEVERAL_METHODS,
        SEVERAL_UNMARKED,
        SEVERAL_MARKED
    }
}
