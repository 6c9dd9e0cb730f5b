package dev.patientharbor.texts;

/** What a caller must hand over. */
public final class RequiredArgument {

    private RequiredArgument() {}

    /**
     * The value itself.
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
}
