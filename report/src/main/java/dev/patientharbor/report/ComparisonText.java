package dev.patientharbor.report;

import dev.patientharbor.comparing.ChangeKind;
import dev.patientharbor.comparing.RosterComparison;
import dev.patientharbor.comparing.RowChange;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.plan.RosterSource;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Writes for people what differs between two rosters: grouped by what changed, with both sides. */
public final class ComparisonText {

    private static final int SIDE = 6;

    private final RosterComparison whole;
    private final RosterComparison comparison;
    private final RosterSource before;
    private final RosterSource after;
    private final boolean isTried;
    private final TextPage page;

    private ComparisonText(
            RosterComparison whole,
            Set<ChangeKind> shown,
            RosterSource before,
            RosterSource after,
            boolean isTried,
            TextLayout layout) {
        this.whole = whole;
        this.isTried = isTried;
        comparison = whole.only(shown.toArray(ChangeKind[]::new));
        this.before = before;
        this.after = after;
        page = new TextPage(layout);
    }

    /**
     * The text; every line ends with {@code \n}.
     *
     * @param shown the kinds of changes that are shown; others are counted
     * @param before where the first roster comes from
     * @param after where the second one comes from; the same for two profiles of a file
     * @param broken what is wrong in the second and was not in the first, where a line was only
     *     tried; empty where both are what they are
     */
    public static String render(
            RosterComparison comparison,
            Set<ChangeKind> shown,
            RosterSource before,
            RosterSource after,
            Optional<List<Finding>> broken,
            TextLayout layout) {
        RequiredArgument.of(comparison, "comparison");
        RequiredArgument.of(shown, "shown");
        RequiredArgument.of(before, "before");
        RequiredArgument.of(after, "after");
        RequiredArgument.of(broken, "broken");
        RequiredArgument.of(layout, "layout");
        return new ComparisonText(comparison, shown, before, after, broken.isPresent(), layout)
                .render(broken.orElse(List.of()));
    }

    /**
     * The text about one profile in two sources; every line ends with {@code \n}.
     *
     * @param shown the kinds of changes that are shown; others are counted
     * @param before where the first roster comes from
     * @param after where the second one comes from
     */
    public static String ofProfile(
            String profile,
            RosterComparison comparison,
            Set<ChangeKind> shown,
            RosterSource before,
            RosterSource after,
            TextLayout layout) {
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(comparison, "comparison");
        RequiredArgument.of(shown, "shown");
        RequiredArgument.of(before, "before");
        RequiredArgument.of(after, "after");
        RequiredArgument.of(layout, "layout");
        ComparisonText text = new ComparisonText(comparison, shown, before, after, false, layout);
        return comparison.isSame() ? text.same(profile) : text.render(profile);
    }

    /** What says how places are written, once for several profiles. */
    public static String places(RosterSource before, RosterSource after, TextLayout layout) {
        RequiredArgument.of(before, "before");
        RequiredArgument.of(after, "after");
        TextPage page = new TextPage(RequiredArgument.of(layout, "layout"));
        page.line(0)
                .put(
                        TextTone.QUIET,
                        before.file().equals(after.file())
                                ? ":33:7 is a place in " + before.file()
                                : ":33:7 is a place in "
                                        + before.file()
                                        + ", or in "
                                        + after.file()
                                        + " for what is told second")
                .end();
        return page.toString();
    }

    private String same(String profile) {
        return page.line(0).put(TextTone.TITLE, profile).put("· " + count()).end().toString();
    }

    private String render(String profile) {
        page.line(0)
                .put(TextTone.TITLE, profile)
                .put("· " + comparison.before() + " | " + comparison.after())
                .end();
        return content(List.of());
    }

    private String render(List<Finding> broken) {
        page.line(0)
                .put(TextTone.TITLE, before.title())
                .put("· " + comparison.before() + " | " + comparison.after())
                .end();
        page.line(0).put(TextTone.QUIET, ":33:7 is a place in " + before.file()).end();
        return content(broken);
    }

    private String content(List<Finding> broken) {
        Optional<ChangeKind> above = Optional.empty();
        for (List<RowChange> alike : alike()) {
            RowChange change = alike.get(0);
            if (!above.equals(Optional.of(change.kind()))) {
                above = Optional.of(change.kind());
                page.blank().line(0).put(TextTone.TITLE, heading(change.kind())).end();
            }
            changes(alike);
        }
        if (comparison.isEagerChanged()) {
            page.blank().line(0).put("only one of the two makes everything at the start").end();
        }
        if (!comparison.changes().isEmpty()) {
            page.blank();
            page.labelled(0, "felt by", 10, ReportWording.classes(before, comparison.entries()));
        }
        broken(broken);
        page.blank().line(0).put(count()).end();
        return page.toString();
    }

    private String heading(ChangeKind kind) {
        return switch (kind) {
            case ONLY_BEFORE -> "only in " + comparison.before();
            case ONLY_AFTER -> "only in " + comparison.after();
            case KIND, CORE, MEMBERS, DECORATORS, GIVEN, LIFETIME, SHARING, ASKED -> kind.word();
        };
    }

    private String count() {
        int all = whole.same() + whole.changes().size();
        int left = whole.changes().size() - comparison.changes().size();
        String same =
                whole.changes().isEmpty()
                        ? "All " + ReportWording.count(all, "need") + " are answered alike."
                        : whole.same() + " of " + all + " needs are answered alike.";
        return left == 0
                ? same
                : same
                        + " Of the others, "
                        + left
                        + (left == 1 ? " differs" : " differ")
                        + " in another way than is shown.";
    }

    private void broken(List<Finding> broken) {
        if (broken.isEmpty()) {
            return;
        }
        page.blank().line(0).put(TextTone.TITLE, "what it breaks").end();
        for (Finding finding : broken) {
            page.line(2)
                    .put(TextTone.BAD, finding.severity().word())
                    .put(finding.kind().id() + ": " + finding.message())
                    .end();
        }
    }

    /** Changes that read alike but for who asks, in the order of the first of them. */
    private Collection<List<RowChange>> alike() {
        Map<List<String>, List<RowChange>> groups = new LinkedHashMap<>();
        for (RowChange change : comparison.changes()) {
            groups.computeIfAbsent(
                            List.of(
                                    change.kinds().toString(),
                                    asked(change.row()) + standing(change.row()),
                                    change.before().map(row -> text(before, row)).orElse(""),
                                    change.after().map(row -> text(after, row)).orElse("")),
                            key -> new ArrayList<>())
                    .add(change);
        }
        return groups.values();
    }

    private String text(RosterSource source, RosterRow row) {
        return row.answer().elements()
                + ReportWording.chain(source, row.answer())
                + ReportWording.core(source, row.answer())
                + about(source, row.answer());
    }

    private void changes(List<RowChange> alike) {
        RowChange change = alike.get(0);
        RosterRow row = change.row();
        List<String> kinds = change.kinds().stream().map(ChangeKind::word).toList();
        String others = String.join(", ", kinds.subList(1, kinds.size()));
        page.line(2)
                .put(String.join(", ", alike.stream().map(each -> asking(each.row())).toList()))
                .put(TextTone.QUIET, "· " + asked(row) + standing(row))
                .put(TextTone.QUIET, others.isEmpty() ? "" : "· also " + others)
                .end();
        int column =
                4
                        + Math.max(
                                TextPage.width(comparison.before()),
                                TextPage.width(comparison.after()))
                        + 2;
        change.before().ifPresent(each -> side(before, comparison.before(), each, column));
        change.after().ifPresent(each -> side(after, comparison.after(), each, column));
    }

    private String asking(RosterRow row) {
        return before.shortName(row.consumer()) + " (" + row.need() + ")";
    }

    private String asked(RosterRow row) {
        return ReportWording.asked(before, row);
    }

    private String standing(RosterRow row) {
        return row.as().map(slot -> ", in the slot " + slotText(slot)).orElse("")
                + row.within().map(level -> ", within " + before.shortName(level)).orElse("");
    }

    private String slotText(Slot slot) {
        return ReportWording.slot(before, slot);
    }

    private void side(RosterSource source, String name, RosterRow row, int column) {
        Answer answer = row.answer();
        page.line(4)
                .put(TextTone.QUIET, name)
                .tab(Math.max(column, SIDE))
                .put(ReportWording.chain(source, answer))
                .put(ReportWording.tone(answer.kind()), ReportWording.core(source, answer))
                .put(TextTone.QUIET, about(source, answer))
                .end();
        for (Answer.Element element : answer.elements()) {
            page.line(Math.max(column, SIDE) + 2)
                    .put(element.key().map(key -> "@" + key.written()).orElse("(plain)"))
                    .put(ReportWording.chain(source, element.answer()))
                    .put(
                            ReportWording.tone(element.answer().kind()),
                            ReportWording.core(source, element.answer()))
                    .end();
        }
    }

    private String about(RosterSource source, Answer answer) {
        StringBuilder about = new StringBuilder();
        String given = ReportWording.given(answer);
        about.append(given.isEmpty() ? "" : "· with " + given + ' ');
        answer.lifetime()
                .ifPresent(
                        choice -> about.append("· ").append(choice.lifetime().word()).append(' '));
        answer.fills()
                .flatMap(Answer.Seat::within)
                .ifPresent(
                        level ->
                                about.append("within ")
                                        .append(source.shortName(level))
                                        .append(' '));
        // Places in a text that was only tried are no places of the file.
        answer.origin()
                .filter(at -> !isTried || source == before)
                .ifPresent(
                        at ->
                                about.append("· ")
                                        .append(
                                                ReportWording.place(
                                                        source, at, "supplies itself")));
        return about.toString().strip();
    }
}
