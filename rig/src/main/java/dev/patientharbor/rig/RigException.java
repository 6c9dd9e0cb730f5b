package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import java.util.ArrayList;
import java.util.Optional;

/**
 * Thrown where an object of a rig could not be made, or not be closed. The message names the
 * profile, the slot, where that was said, and the way from the one who was asked for; the cause is
 * what the user's code threw, if it did.
 */
public final class RigException extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final transient Optional<Failure> failure;
    private final transient Optional<Class<?>> closed;
    private final ArrayList<String> way = new ArrayList<>();

    /**
     * What could not be made.
     *
     * @param made the part
     * @param what what went wrong
     */
    record Failure(AssemblyPart.Made made, String what) {}

    private RigException(
            String message, Optional<Failure> failure, Optional<Class<?>> closed, Throwable cause) {
        super(message, cause);
        this.failure = failure;
        this.closed = closed;
    }

    RigException(String message, Throwable cause) {
        this(message, Optional.empty(), Optional.empty(), cause);
    }

    RigException(String message) {
        this(message, null);
    }

    static RigException of(AssemblyPart.Made made, String what, String message, Throwable cause) {
        return new RigException(
                message, Optional.of(new Failure(made, what)), Optional.empty(), cause);
    }

    /**
     * Objects could not be closed.
     *
     * @param first the class of the first of them
     */
    static RigException ofClosing(Class<?> first, String message, Throwable cause) {
        return new RigException(message, Optional.empty(), Optional.of(first), cause);
    }

    /** Adds a step on the way here, the nearest first. */
    RigException onTheWayOf(String step) {
        way.add(0, step);
        return this;
    }

    Optional<Failure> failure() {
        return failure;
    }

    /** The class of the object that could not be closed, the first of several. */
    Optional<Class<?>> closed() {
        return closed;
    }

    @Override
    public String getMessage() {
        return way.isEmpty()
                ? super.getMessage()
                : super.getMessage() + "\n  on the way  " + String.join(" → ", way);
    }
}
