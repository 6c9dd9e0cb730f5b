package dev.patientharbor.rig;

import java.util.ArrayList;
import java.util.Optional;

/**
 * An object of a rig could not be made, or not be closed. The message names the profile, the slot,
 * where that was said, and the way from the one who was asked for; the cause is what the user's
 * code threw, if it did.
 */
public final class RigException extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final transient Optional<Failure> failure;
    private final ArrayList<String> way = new ArrayList<>();

    /**
     * What could not be made.
     *
     * @param station where it stands
     * @param what what went wrong
     */
    record Failure(MadeStation station, String what) {}

    private RigException(String message, Optional<Failure> failure, Throwable cause) {
        super(message, cause);
        this.failure = failure;
    }

    RigException(String message, Throwable cause) {
        this(message, Optional.empty(), cause);
    }

    RigException(String message) {
        this(message, null);
    }

    static RigException of(MadeStation station, String what, String message, Throwable cause) {
        return new RigException(message, Optional.of(new Failure(station, what)), cause);
    }

    /** Adds a step on the way here, the nearest first. */
    RigException onTheWayOf(String step) {
        way.add(0, step);
        return this;
    }

    Optional<Failure> failure() {
        return failure;
    }

    @Override
    public String getMessage() {
        return way.isEmpty()
                ? super.getMessage()
                : super.getMessage() + "\n  on the way  " + String.join(" → ", way);
    }
}
