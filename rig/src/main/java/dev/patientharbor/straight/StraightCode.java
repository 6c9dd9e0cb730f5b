package dev.patientharbor.straight;

/**
 * What is written for a plan, or, as it is here, what makes nothing. Has no state, and may be used
 * by several threads.
 */
public class StraightCode {

    /** What was not written: it makes nothing. */
    public static final StraightCode NONE = new StraightCode();

    /** Called by what is written. */
    protected StraightCode() {}

    /**
     * Makes the object of that number, which was begun, and keeps it; first makes what it needs and
     * is not there.
     *
     * @return the object, or null if no code was written for it
     * @throws RuntimeException what the bay says if a constructor fails
     */
    public Object make(int number, Bay bay) {
        return null;
    }
}
