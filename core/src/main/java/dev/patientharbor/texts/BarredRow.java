package dev.patientharbor.texts;

import java.util.List;

/** One line of parts with bars between, as it stands in files that people review. */
public final class BarredRow {

    private static final String BETWEEN = " | ";

    private BarredRow() {}

    /** Returns the line of some parts, each of them safe. */
    public static String of(List<String> parts) {
        return String.join(BETWEEN, parts);
    }

    /** Returns the parts of a line. */
    public static List<String> parts(String line) {
        return List.of(line.split(" \\| ", -1));
    }

    /** Returns a text that stands in one line, with nothing that could be taken for a bar. */
    public static String safe(String text) {
        return VisibleText.of(text).replace("|", "\\u007c");
    }
}
