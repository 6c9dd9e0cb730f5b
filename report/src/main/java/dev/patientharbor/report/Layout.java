package dev.patientharbor.report;

/**
 * How text is laid out for people.
 *
 * @param width the columns that there are; longer lines are folded, but no word is ever cut
 * @param ink paints text
 */
public record Layout(int width, Ink ink) {

    private static final int NARROWEST = 40;

    public Layout {
        width = Math.max(width, NARROWEST);
    }

    /** Without colour. */
    public static Layout plain(int width) {
        return new Layout(width, Ink.NONE);
    }
}
