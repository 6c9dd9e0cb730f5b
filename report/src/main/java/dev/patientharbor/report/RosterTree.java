package dev.patientharbor.report;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Answer.Seat;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Writes the roster as a tree: under each entry consumer everything that it leads to, with its
 * depth. A shared instance is unfolded once and only named after that.
 */
public final class RosterTree {

    private final Verdict verdict;
    private final int depth;
    private final TextPage page;

    private RosterTree(Verdict verdict, int depth, TextLayout layout) {
        this.verdict = verdict;
        this.depth = depth;
        page = new TextPage(layout);
    }

    /** The whole text; every line ends with {@code \n}. */
    public static String render(Verdict verdict, TextLayout layout) {
        return render(verdict, Integer.MAX_VALUE, layout);
    }

    /**
     * The text down to some depth; every line ends with {@code \n}.
     *
     * @param depth how deep, from 1: what entry consumers receive themselves
     */
    public static String render(Verdict verdict, int depth, TextLayout layout) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(layout, "layout");
        return new RosterTree(verdict, depth, layout).render();
    }

    private String render() {
        page.line(0)
                .put(TextTone.TITLE, verdict.title())
                .put("· what each entry consumer leads to")
                .end();
        for (ProfileVerdict profile : verdict.profiles()) {
            if (!profile.isPartial()) {
                profile(profile.name());
            }
        }
        return page.toString();
    }

    private void profile(String name) {
        page.blank().line(0).put(TextTone.TITLE, name).end();
        Map<String, List<RosterRow>> entries = new LinkedHashMap<>();
        Map<Seat, List<RosterRow>> bySlot = new HashMap<>();
        for (RosterRow row : verdict.roster(name).rows()) {
            if (row.as().isEmpty()) {
                entries.computeIfAbsent(row.consumer(), key -> new ArrayList<>()).add(row);
            }
            Slot slot = row.as().orElseGet(() -> Slot.of(row.consumer()));
            bySlot.computeIfAbsent(new Seat(slot, row.within()), seat -> new ArrayList<>())
                    .add(row);
        }
        Set<String> unfolded = new HashSet<>();
        entries.forEach(
                (consumer, rows) -> {
                    page.line(2).put(verdict.shortName(consumer)).end();
                    byItself(consumer, 4);
                    unfold(rows, bySlot, unfolded);
                });
    }

    private record Step(RosterRow row, int depth) {}

    private void unfold(
            List<RosterRow> rows, Map<Seat, List<RosterRow>> bySlot, Set<String> unfolded) {
        Deque<Step> open = new ArrayDeque<>();
        push(rows, 1, open);
        while (!open.isEmpty()) {
            Step step = open.pop();
            Answer answer = step.row().answer();
            List<RosterRow> below = answer.fills().map(bySlot::get).orElse(null);
            boolean isLast = step.depth() >= depth;
            // What is not unfolded here may be where it is met nearer to an entry consumer.
            boolean known =
                    !isLast && answer.instance().filter(label -> !unfolded.add(label)).isPresent();
            boolean hasMore = below != null || !answer.elements().isEmpty();
            line(step, known && below != null, isLast && hasMore);
            if (!known) {
                answer.implementation()
                        .ifPresent(name -> byItself(name, 4 + 2 * Math.min(step.depth(), 12)));
            }
            if (isLast) {
                continue;
            }
            if (below != null && !known) {
                push(below, step.depth() + 1, open);
            }
            List<Answer.Element> elements = answer.elements();
            for (int i = elements.size() - 1; i >= 0; i--) {
                open.push(new Step(element(step.row(), elements.get(i)), step.depth() + 1));
            }
        }
    }

    private void byItself(String className, int indent) {
        ReportWording.byItself(verdict, className)
                .forEach(line -> page.line(indent).put(TextTone.BAD, line).end());
    }

    /** A member of a collection, shown as if it were asked for by itself. */
    private static RosterRow element(RosterRow row, Answer.Element element) {
        return new RosterRow(
                row.consumer(),
                "member",
                row.place(),
                row.as(),
                row.within(),
                new Slot(row.slot().contract(), element.key()),
                element.carrier(),
                element.answer());
    }

    private static void push(List<RosterRow> rows, int depth, Deque<Step> open) {
        for (int i = rows.size() - 1; i >= 0; i--) {
            open.push(new Step(rows.get(i), depth));
        }
    }

    private void line(Step step, boolean above, boolean isCut) {
        RosterRow row = step.row();
        Answer answer = row.answer();
        int indent = 2 + 2 * Math.min(step.depth(), 12);
        page.line(indent)
                .put(TextTone.QUIET, step.depth() + " " + row.need())
                .put(ReportWording.asked(verdict, row) + ":")
                .put(ReportWording.chain(verdict, answer))
                .put(ReportWording.tone(answer.kind()), ReportWording.core(verdict, answer))
                .put(
                        TextTone.QUIET,
                        answer.lifetime().map(choice -> choice.lifetime().word()).orElse("")
                                + answer.instance().map(label -> " " + label).orElse("")
                                + answer.behind()
                                        .map(
                                                behind ->
                                                        ", behind it "
                                                                + ReportWording.behind(
                                                                        verdict, behind))
                                        .orElse("")
                                + (above ? ", unfolded above" : "")
                                + (isCut ? ", more below" : ""))
                .end();
    }
}
