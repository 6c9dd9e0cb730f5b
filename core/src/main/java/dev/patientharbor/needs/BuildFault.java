package dev.patientharbor.needs;

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

    /** Whether there are constructors, and nothing chooses among them. */
    public boolean isOfChoice() {
        return reason == Reason.SEVERAL_UNMARKED || reason == Reason.SEVERAL_MARKED;
    }

    /** What can be wrong. */
    public enum Reason {
        INTERFACE,
        ABSTRACT,
        ENUM,
        NO_CONSTRUCTOR,
        ONLY_PRIVATE,
        NO_SUCH_CONSTRUCTOR,
        NO_SUCH_METHOD,
        SEVERAL_METHODS,
        SEVERAL_UNMARKED,
        SEVERAL_MARKED;

        /** Returns whether it would help to say which constructor is meant. */
        public boolean isOfConstructors() {
            return switch (this) {
                case SEVERAL_UNMARKED, SEVERAL_MARKED, ONLY_PRIVATE, NO_SUCH_CONSTRUCTOR -> true;
                case INTERFACE, ABSTRACT, ENUM, NO_CONSTRUCTOR, NO_SUCH_METHOD, SEVERAL_METHODS ->
                        false;
            };
        }
    }
}
