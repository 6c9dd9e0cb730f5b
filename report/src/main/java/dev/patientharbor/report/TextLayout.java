package dev.patientharbor.report;

import dev.patientharbor.texts.RequiredArgument;

/**
 * How text is laid out for people.
 *
 * @param width the columns that there are; longer lines are folded, but no word is ever cut
 * @param ink paints text
 */
public record TextLayout(int width, TextPainter ink) {

    private static final int NARROWEST = 40;
    private static final int UNFOLDED = 1_000_000;

    public TextLayout {
        RequiredArgument.of(ink, "ink");
        width = Math.max(width, NARROWEST);
    }

    /** Returns a layout without colour. */
    public static TextLayout plain(int width) {
        return new TextLayout(width, TextPainter.NONE);
    }

    /** Returns this layout with room for everything: no line is folded. */
    public TextLayout unfolded() {
        return new TextLayout(UNFOLDED, ink);
    }
}
