package dev.patientharbor.report;

/** Paints text. */
@FunctionalInterface
public interface TextPainter {

    /** Leaves every text as it is. */
    TextPainter NONE = (tone, text) -> text;

    /**
     * The text, with whatever makes it show in that tone; the same characters in the same order.
     */
    String paint(TextTone tone, String text);
}
