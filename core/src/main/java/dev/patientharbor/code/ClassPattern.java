package dev.patientharbor.code;

/**
 * A pattern for the classes of a package: {@code port.*} for its own, {@code port.**} for those of
 * packages below as well.
 *
 * @param packageName the package
 * @param below whether packages below count
 */
public record ClassPattern(String packageName, boolean below) {

    /** Whether a text is such a pattern. */
    public static boolean isPattern(String text) {
        return text.endsWith(".*") || text.endsWith(".**");
    }

    /**
     * Reads a pattern.
     *
     * @throws IllegalArgumentException if the text is none
     */
    public static ClassPattern of(String text) {
        if (!isPattern(text)) {
            throw new IllegalArgumentException("not a pattern for classes: " + text);
        }
        boolean below = text.endsWith("**");
        return new ClassPattern(text.substring(0, text.length() - (below ? 3 : 2)), below);
    }
}
