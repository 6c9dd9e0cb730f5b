package dev.patientharbor.report;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.RosterFilter;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.List;

/** Writes every need against every profile as a Markdown table, for a review. */
public final class MatrixMarkdown {

    private MatrixMarkdown() {}

    /** The whole text; every line ends with {@code \n}. */
    public static String render(Verdict verdict, RosterFilter filter) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(filter, "filter");
        RosterMatrix matrix = RosterMatrix.of(verdict, filter);
        StringBuilder text = new StringBuilder("# " + MarkdownTable.cell(verdict.title()) + "\n\n");
        List<String> head = new ArrayList<>(List.of("consumer", "need", "asks for"));
        head.addAll(matrix.profiles());
        text.append(MarkdownTable.head(head));
        for (RosterMatrix.Row row : matrix.rows()) {
            List<String> cells = new ArrayList<>(List.of(row.consumer(), row.need(), row.asked()));
            row.cells().forEach(cell -> cells.add(cell.map(RosterMatrix.Cell::text).orElse("–")));
            text.append(MarkdownTable.row(cells));
        }
        matrix.byItself()
                .forEach(
                        (consumer, lines) ->
                                lines.forEach(
                                        line ->
                                                text.append("\n**")
                                                        .append(MarkdownTable.cell(consumer))
                                                        .append("** ")
                                                        .append(MarkdownTable.cell(line))
                                                        .append('\n')));
        return text.toString();
    }
}
