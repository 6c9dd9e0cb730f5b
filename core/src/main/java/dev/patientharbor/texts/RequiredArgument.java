package dev.patientharbor.texts;

/** Refuses null where a caller must hand over a value. */
public final class RequiredArgument {

    private RequiredArgument() {}

    /**
     * Returns the value, and refuses null.
     *
     * @param what what it is, as the message names it
     * @throws IllegalArgumentException if it is null
     */
    public static <T> T of(T value, String what) {
        if (value == null) {
            throw new IllegalArgumentException(what + " is null");
        }
        return value;
    }

    /**
     * Refuses an array that is null or holds null.
     *
     * @param what what its elements are, as the message names them
     * @throws IllegalArgumentException if it is null, or one of them
     */
    public static void each(Object[] values, String what) {
        of(values, what);
        for (Object value : values) {
            if (value == null) {
                throw new IllegalArgumentException("one of " + what + " is null");
            }
        }
    }
}
