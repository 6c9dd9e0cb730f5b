package dev.patientharbor.texts;

import java.util.Locale;

/**
 * Makes text from files and classes fit to be shown: whatever a terminal would act on, or nobody
 * would see, is written out. So nothing that is read can forge a line, a colour or a direction.
 */
public final class VisibleText {

    private VisibleText() {}

    /**
     * The text in one line. Control characters, line ends, marks of direction and all else without
     * a shape of its own become {@code \n}, {@code \t}, or {@code \u001b} with their number (JLS
     * 3.3); so does half of a pair of surrogates. Everything else stays as it is.
     */
    public static String of(String text) {
        int at = 0;
        while (at < text.length() && isPlain(text.charAt(at))) {
            at++;
        }
        if (at == text.length()) {
            return text;
        }
        StringBuilder visible = new StringBuilder(text.length() + 16).append(text, 0, at);
        while (at < text.length()) {
            int sign = text.codePointAt(at);
            if (isVisible(sign)) {
                visible.appendCodePoint(sign);
            } else {
                Character.toString(sign).chars().forEach(other -> visible.append(escaped(other)));
            }
            at += Character.charCount(sign);
        }
        return visible.toString();
    }

    /** Whether a character (a code point) shows as itself, and does nothing else. */
    public static boolean isVisible(int sign) {
        return switch (Character.getType(sign)) {
            case Character.CONTROL,
                    Character.FORMAT,
                    Character.LINE_SEPARATOR,
                    Character.PARAGRAPH_SEPARATOR,
                    Character.SURROGATE,
                    Character.UNASSIGNED ->
                    false;
            default -> true;
        };
    }

    private static boolean isPlain(char sign) {
        return sign >= ' ' && sign <= '~';
    }

    private static String escaped(int sign) {
        return switch (sign) {
            case '\n' -> "\\n";
            case '\r' -> "\\r";
            case '\t' -> "\\t";
            default -> String.format(Locale.ROOT, "\\u%04x", sign);
        };
    }
}
