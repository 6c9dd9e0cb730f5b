package dev.patientharbor.cli;

import dev.patientharbor.report.TextPainter;
import dev.patientharbor.report.TextTone;
import picocli.CommandLine.Help.Ansi.IStyle;
import picocli.CommandLine.Help.Ansi.Style;

/** Paints text with the colours of a terminal. */
final class TerminalColours implements TextPainter {

    @Override
    public String paint(TextTone tone, String text) {
        if (text.isEmpty()) {
            return text;
        }
        // One sequence ends them all: what ends bold alone draws a double underline on some
        // terminals.
        return style(tone).on() + text + Style.reset.on();
    }

    private static IStyle style(TextTone tone) {
        return switch (tone) {
            case TITLE -> Style.bold;
            case GOOD, REAL -> Style.fg_green;
            case BAD -> Style.fg_red;
            case CAREFUL -> Style.fg_yellow;
            case STAND_IN -> Style.fg_magenta;
            case QUIET -> Style.faint;
        };
    }
}
