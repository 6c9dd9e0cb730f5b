package dev.patientharbor.report;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.RosterFilter;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.terms.Slot;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;

/**
 * Every need against every profile.
 *
 * @param profiles the names of the columns
 * @param rows one for each need, entry consumers first
 * @param byItself what consumers make by themselves, by what people call them
 */
record RosterMatrix(List<String> profiles, List<Row> rows, Map<String, List<String>> byItself) {

    /**
     * One need.
     *
     * @param consumer who asks, as people call it, with its slot and level
     * @param need the name of the parameter or field
     * @param asked what it asks for
     * @param cells one for each profile; empty where nobody asks for it
     */
    record Row(String consumer, String need, String asked, List<Optional<Cell>> cells) {}

    /**
     * What is received.
     *
     * @param text what is shown
     * @param decided equal for equal decisions: what is around it, given to it and in it, too
     */
    record Cell(AnswerKind kind, String text, String decided) {}

    private static final Comparator<RosterRow> ORDER =
            Comparator.<RosterRow, Boolean>comparing(row -> row.as().isPresent())
                    .thenComparing(RosterRow.ORDER)
                    .thenComparing(row -> row.slot().text());

    static RosterMatrix of(Verdict verdict, RosterFilter filter) {
        Map<String, Roster> rosters = new LinkedHashMap<>();
        for (ProfileVerdict profile : verdict.profiles()) {
            if (!profile.isPartial()) {
                rosters.put(profile.name(), verdict.roster(profile.name()));
            }
        }
        Predicate<RosterRow> shown = filter.over(rosters.values());
        Map<RosterRow, List<Optional<Cell>>> rows = new TreeMap<>(ORDER);
        Set<RosterRow> wanted = new TreeSet<>(ORDER);
        int column = 0;
        for (Roster roster : rosters.values()) {
            for (RosterRow row : roster.rows()) {
                List<Optional<Cell>> cells = rows.computeIfAbsent(row, key -> new ArrayList<>());
                while (cells.size() <= column) {
                    cells.add(Optional.empty());
                }
                // A need is shown where one of its answers is.
                if (shown.test(row)) {
                    wanted.add(row);
                }
                cells.set(column, Optional.of(cell(verdict, row.answer())));
            }
            column++;
        }
        List<Row> found = new ArrayList<>();
        Map<String, List<String>> byItself = new TreeMap<>();
        rows.forEach(
                (row, cells) -> {
                    while (cells.size() < rosters.size()) {
                        cells.add(Optional.empty());
                    }
                    if (wanted.contains(row)) {
                        Row told = row(verdict, row, cells);
                        found.add(told);
                        byItself.computeIfAbsent(
                                told.consumer(),
                                name -> ReportWording.byItself(verdict, row.consumer()));
                    }
                });
        return new RosterMatrix(List.copyOf(rosters.keySet()), found, byItself);
    }

    private static Row row(Verdict verdict, RosterRow row, List<Optional<Cell>> cells) {
        String consumer =
                verdict.shortName(row.consumer())
                        + row.as()
                                .filter(slot -> !isOwn(row, slot))
                                .map(slot -> " as " + ReportWording.slot(verdict, slot))
                                .orElse("")
                        + row.within()
                                .map(level -> " within " + verdict.shortName(level))
                                .orElse("");
        return new Row(consumer, row.need(), ReportWording.asked(verdict, row), cells);
    }

    private static boolean isOwn(RosterRow row, Slot slot) {
        return slot.key().isEmpty() && slot.contract().text().equals(row.consumer());
    }

    /** Decorators are counted: their names would leave no room for what is inside. */
    private static Cell cell(Verdict verdict, Answer answer) {
        int around = answer.around().size();
        boolean isCanned = answer.kind() == AnswerKind.STUB && answer.implementation().isEmpty();
        String core =
                answer.kind() == AnswerKind.ABSENT
                        ? "absent"
                        : isCanned ? "stub, canned" : ReportWording.core(verdict, answer);
        String text = core + (around == 0 ? "" : " +" + around);
        return new Cell(answer.kind(), text, answer.decision());
    }
}
