package dev.patientharbor.rig;

import java.util.ArrayList;
import java.util.List;

/**
 * An object of a rig could not be made, or not be closed. The message names the profile, the slot,
 * where that was said, and the way from the one who was asked for; the cause is what the user's
 * code threw, if it did.
 */
public final class RigException extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final String what;
    private final List<String> way = new ArrayList<>();

    RigException(String what, Throwable cause) {
        super(what, cause);
        this.what = what;
    }

    RigException(String what) {
        this(what, null);
    }

    /** Adds a step on the way here, the nearest first. */
    RigException onTheWayOf(String step) {
        way.add(0, step);
        return this;
    }

    /** What is wrong, without the way. */
    String what() {
        return what;
    }

    @Override
    public String getMessage() {
        return way.isEmpty() ? what : what + "\n  on the way  " + String.join(" → ", way);
    }
}
