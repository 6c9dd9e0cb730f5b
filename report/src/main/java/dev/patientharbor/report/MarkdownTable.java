package dev.patientharbor.report;

import dev.patientharbor.texts.VisibleText;
import java.util.List;
import java.util.stream.Collectors;

/**
 * The lines of a Markdown table. Text from files and class files is text: nothing of it is markup.
 */
final class MarkdownTable {

    private MarkdownTable() {}

    /** The names of the columns, and the line below them. */
    static String head(List<String> columns) {
        return row(columns) + row(columns.stream().map(column -> "---").toList());
    }

    static String row(List<String> cells) {
        return cells.stream()
                .map(MarkdownTable::cell)
                .collect(Collectors.joining(" | ", "| ", " |\n"));
    }

    static String cell(String text) {
        return VisibleText.of(text).replaceAll("([\\\\`*_{}\\[\\]<>|#])", "\\\\$1");
    }

    /** Text as a piece of code: nothing in it is markup. */
    static String code(String text) {
        String visible = VisibleText.of(text);
        String fence = "`";
        while (visible.contains(fence)) {
            fence += "`";
        }
        String pad = visible.startsWith("`") || visible.endsWith("`") ? " " : "";
        return fence + pad + visible + pad + fence;
    }
}
