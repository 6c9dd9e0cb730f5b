package dev.patientharbor.report;

import dev.patientharbor.survey.ExtractableInterface;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.survey.Survey;
import dev.patientharbor.survey.SurveyedContract;
import dev.patientharbor.survey.Touch;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** Writes a survey for people: how much there is of what, then section by section. */
public final class SurveyText {

    /** The most rows of a section that are shown when it was not asked for. */
    private static final int FIRST_ROWS = 15;

    private static final int INDENT = 2;

    /** The room that the last column needs at least, in which it is folded. */
    private static final int LAST_COLUMN = 24;

    private final Survey survey;
    private final Set<SurveySection> wanted;
    private final ShortClassNames names;
    private final int width;
    private final TextPage page;

    private SurveyText(Survey survey, Set<SurveySection> wanted, TextLayout layout) {
        this.survey = survey;
        this.wanted = wanted;
        names = ShortClassNames.among(classNames(survey));
        width = layout.width();
        page = new TextPage(layout);
    }

    /**
     * The whole text; every line ends with {@code \n}.
     *
     * @param sections those that are shown whole, and no others; none for the first rows of each
     */
    public static String render(Survey survey, Set<SurveySection> sections, TextLayout layout) {
        RequiredArgument.of(survey, "survey");
        RequiredArgument.of(sections, "sections");
        RequiredArgument.of(layout, "layout");
        return new SurveyText(survey, sections, layout).render();
    }

    /** The classes that a survey names. */
    static Set<String> classNames(Survey survey) {
        Set<String> all = new TreeSet<>(survey.entryConsumers());
        survey.touches()
                .forEach(
                        (name, touches) -> {
                            all.add(name);
                            touches.forEach(touch -> addOwners(touch, all));
                        });
        for (SurveyedContract contract : survey.contracts()) {
            all.add(contract.name());
            all.addAll(contract.implementations());
            all.addAll(contract.askedBy());
        }
        for (HardWiring wiring : survey.hardWired()) {
            all.add(wiring.consumer());
            wiring.implementation().ifPresent(all::add);
        }
        survey.handWiring().forEach(wiring -> all.add(wiring.at().className()));
        survey.sharedState().forEach(state -> all.add(state.className()));
        return all;
    }

    /** The classes on a way, but for the last: that one is not of the code. */
    private static void addOwners(Touch touch, Set<String> all) {
        for (String step : touch.way().subList(0, touch.way().size() - 1)) {
            all.add(step.substring(0, step.lastIndexOf('.')));
        }
    }

    private String render() {
        page.line(0).put(TextTone.TITLE, "Survey").put("· " + survey.classes() + " classes").end();
        page.blank();
        for (SurveySection section : SurveySection.values()) {
            int rows = SurveyTable.of(section, survey, names).rows().size();
            if (rows > 0 || section != SurveySection.UNREADABLE) {
                page.line(INDENT)
                        .put(section.word())
                        .tab(20)
                        .put(String.valueOf(rows))
                        .tab(26)
                        .put(TextTone.QUIET, section.about())
                        .end();
            }
        }
        for (SurveySection section : SurveySection.values()) {
            SurveyTable table = SurveyTable.of(section, survey, names);
            if (wanted.isEmpty() ? !table.rows().isEmpty() : wanted.contains(section)) {
                section(table);
            }
        }
        return page.toString();
    }

    private void section(SurveyTable table) {
        page.blank().line(0).put(TextTone.TITLE, table.section().word()).end();
        boolean whole = wanted.contains(table.section());
        List<List<String>> rows =
                whole || table.rows().size() <= FIRST_ROWS
                        ? table.rows()
                        : table.rows().subList(0, FIRST_ROWS);
        List<Integer> starts = starts(table.columns(), rows);
        boolean fits = starts.get(starts.size() - 1) + LAST_COLUMN <= width;
        if (fits && table.section() != SurveySection.CONTRACTS) {
            row(table.columns(), starts, TextTone.QUIET);
            rows.forEach(row -> row(row, starts, null));
        } else {
            rows.forEach(row -> labelled(table.columns(), row));
        }
        int left = table.rows().size() - rows.size();
        if (left > 0) {
            page.line(INDENT)
                    .put(
                            TextTone.QUIET,
                            "and "
                                    + left
                                    + " more; --section "
                                    + table.section().word()
                                    + " shows all")
                    .end();
        }
        if (table.section() == SurveySection.INTERFACES && whole) {
            survey.interfaces().forEach(this::source);
        }
        if (table.section() == SurveySection.HARD_WIRED && !rows.isEmpty()) {
            page.line(INDENT)
                    .put(
                            TextTone.QUIET,
                            "No profile can put another in its place: have the consumer ask for"
                                    + " the contract in its constructor.")
                    .end();
        }
    }

    /** Source is shown as it is: a line of it is never folded. */
    private void source(ExtractableInterface one) {
        page.blank();
        one.source().lines().forEach(line -> page.verbatim(INDENT, line));
    }

    /** What is too wide for a table, and lists of any length: a line for each cell. */
    private void labelled(List<String> columns, List<String> cells) {
        int column = INDENT + 4 + columns.stream().skip(1).mapToInt(String::length).max().orElse(0);
        page.line(INDENT).put(cells.get(0)).end();
        for (int i = 1; i < cells.size(); i++) {
            page.labelled(
                    INDENT + 2,
                    columns.get(i),
                    column,
                    cells.get(i).isEmpty() ? "nobody" : cells.get(i));
        }
    }

    private void row(List<String> cells, List<Integer> starts, TextTone tone) {
        TextPage.Line line = page.line(INDENT);
        for (int i = 0; i < cells.size(); i++) {
            if (i > 0) {
                line.tab(starts.get(i));
            }
            line.put(tone, cells.get(i));
        }
        line.end();
    }

    /** Where the columns start: each as wide as its widest cell. */
    private static List<Integer> starts(List<String> columns, List<List<String>> rows) {
        List<Integer> starts = new ArrayList<>();
        int at = INDENT;
        for (int i = 0; i < columns.size(); i++) {
            starts.add(at);
            int widest = TextPage.width(columns.get(i));
            for (List<String> row : rows) {
                widest = Math.max(widest, TextPage.width(row.get(i)));
            }
            at += widest + 2;
        }
        return starts;
    }
}
