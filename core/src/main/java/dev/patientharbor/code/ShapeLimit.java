package dev.patientharbor.code;

/**
 * How deep the types of a class file may be nested: far deeper than anybody writes, and shallow
 * enough for whoever walks along them.
 */
final class ShapeLimit {

    /** The most dimensions of an array (JVMS 4.3.2). */
    private static final int MOST_DIMENSIONS = 255;

    private static final int DEEPEST = 100;

    private ShapeLimit() {}

    /**
     * Refuses a descriptor or signature that goes beyond the limits.
     *
     * @param text may be null for none
     */
    static void check(String text) {
        if (text == null) {
            return;
        }
        int open = 0;
        int dimensions = 0;
        for (int i = 0; i < text.length(); i++) {
            char sign = text.charAt(i);
            dimensions = sign == '[' ? dimensions + 1 : 0;
            open += sign == '<' ? 1 : sign == '>' ? -1 : 0;
            if (dimensions > MOST_DIMENSIONS) {
                throw new ClassFileReader.NotAClassFile(
                        "it has an array of more than " + MOST_DIMENSIONS + " dimensions");
            }
            if (open > DEEPEST) {
                throw new ClassFileReader.NotAClassFile(
                        "it has a type that is nested deeper than " + DEEPEST + " levels");
            }
        }
    }

    /** Refuses values of annotations that are nested deeper than the limit. */
    static void check(int depth) {
        if (depth > DEEPEST) {
            throw new ClassFileReader.NotAClassFile(
                    "it has an annotation that is nested deeper than " + DEEPEST + " levels");
        }
    }
}
