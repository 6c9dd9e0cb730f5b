package dev.patientharbor.report;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.RosterFilter;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Writes every need against every profile for people: a line for each need below its consumer, a
 * column for each profile. What is equal side by side is written once, with a line to where it
 * ends.
 */
public final class MatrixText {

    private static final int GAP = 2;
    private static final int INDENT = 2;
    private static final int NEED = 4;
    private static final String SAME = "─";
    private static final String NOBODY = "·";

    private final RosterMatrix matrix;
    private final TextLayout layout;
    private final TextPage page;
    private final int names;
    private final List<Integer> widths = new ArrayList<>();

    private MatrixText(RosterMatrix matrix, TextLayout layout) {
        this.matrix = matrix;
        this.layout = layout;
        page = new TextPage(layout);
        names =
                NEED
                        + Math.max(
                                matrix.rows().stream()
                                        .mapToInt(row -> TextPage.width(row.need()))
                                        .max()
                                        .orElse(0),
                                4)
                        + GAP;
        for (int i = 0; i < matrix.profiles().size(); i++) {
            widths.add(width(i));
        }
    }

    /** The text; every line ends with {@code \n}. Profiles that have no room stand below. */
    public static String render(Verdict verdict, RosterFilter filter, TextLayout layout) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(filter, "filter");
        RequiredArgument.of(layout, "layout");
        return new MatrixText(RosterMatrix.of(verdict, filter), layout).render(verdict.title());
    }

    private int width(int column) {
        int widest = matrix.profiles().get(column).length();
        for (RosterMatrix.Row row : matrix.rows()) {
            widest =
                    Math.max(
                            widest,
                            row.cells().get(column).map(cell -> cell.text().length()).orElse(1));
        }
        return widest + GAP;
    }

    private String render(String title) {
        page.line(0)
                .put(TextTone.TITLE, title)
                .put(
                        "· "
                                + ReportWording.count(matrix.rows().size(), "need")
                                + " against "
                                + ReportWording.count(matrix.profiles().size(), "profile"))
                .end();
        for (List<Integer> columns : blocks()) {
            table(columns);
        }
        page.blank()
                .line(0)
                .put(
                        TextTone.QUIET,
                        SAME
                                + " the same as on its left   +2 decorators around it   "
                                + NOBODY
                                + " nobody asks")
                .end();
        return page.toString();
    }

    /** As many profiles beside each other as there is room for. */
    private List<List<Integer>> blocks() {
        List<List<Integer>> blocks = new ArrayList<>();
        int used = layout.width();
        for (int i = 0; i < widths.size(); i++) {
            if (used + widths.get(i) > layout.width() || blocks.isEmpty()) {
                blocks.add(new ArrayList<>());
                used = names;
            }
            blocks.get(blocks.size() - 1).add(i);
            used += widths.get(i);
        }
        return blocks;
    }

    private void table(List<Integer> columns) {
        page.blank();
        TextPage.Line head = page.line(NEED).put(TextTone.QUIET, "need");
        int at = names;
        for (int column : columns) {
            head.tab(at).put(TextTone.TITLE, matrix.profiles().get(column));
            at += widths.get(column);
        }
        head.end();
        String above = "";
        for (RosterMatrix.Row row : matrix.rows()) {
            if (!row.consumer().equals(above)) {
                page.line(INDENT).put(TextTone.TITLE, row.consumer()).end();
                matrix.byItself()
                        .get(row.consumer())
                        .forEach(line -> page.line(NEED).put(TextTone.BAD, line).end());
                above = row.consumer();
            }
            line(row, columns);
        }
    }

    private void line(RosterMatrix.Row row, List<Integer> columns) {
        TextPage.Line line = page.line(NEED).put(row.need());
        int at = names;
        for (int i = 0; i < columns.size(); i++) {
            Optional<RosterMatrix.Cell> cell = row.cells().get(columns.get(i));
            int width = widths.get(columns.get(i));
            boolean isSame = i > 0 && cell.equals(row.cells().get(columns.get(i - 1)));
            line.tab(at);
            if (isSame && cell.isPresent()) {
                line.put(TextTone.QUIET, SAME.repeat(width - GAP));
            } else if (cell.isPresent()) {
                line.put(ReportWording.tone(cell.get().kind()), cell.get().text());
            } else {
                line.put(TextTone.QUIET, NOBODY);
            }
            at += width;
        }
        line.end();
    }
}
