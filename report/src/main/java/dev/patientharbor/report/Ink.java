package dev.patientharbor.report;

/** Paints text. */
@FunctionalInterface
public interface Ink {

    /** Leaves every text as it is. */
    Ink NONE = (tone, text) -> text;

    /**
     * The text, with whatever makes it show in that tone; the same characters in the same order.
     */
    String paint(Tone tone, String text);
}
