package dev.patientharbor.report;

import dev.patientharbor.check.Coverage;
import dev.patientharbor.check.Coverage.NeverReal;
import dev.patientharbor.check.Coverage.Use;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Writes for people how real each environment is: slot by slot, profile beside profile. */
public final class CoverageText {

    private static final int LABEL = 2;

    private static final String FIRST = "first real use";

    private final Verdict verdict;
    private final TextLayout layout;
    private final Coverage coverage;
    private final TextPage page;
    private final Optional<ObservedRosters> observed;
    private final Map<Integer, Integer> widths = new HashMap<>();

    private CoverageText(Verdict verdict, Optional<ObservedRosters> observed, TextLayout layout) {
        this.observed = observed;
        this.verdict = verdict;
        this.layout = layout;
        coverage = verdict.coverage();
        page = new TextPage(layout);
    }

    /** The whole text; every line ends with {@code \n}. */
    public static String render(Verdict verdict, TextLayout layout) {
        return render(verdict, Optional.empty(), layout);
    }

    /**
     * The whole text; every line ends with {@code \n}.
     *
     * @param observed tells beside the kind how many runs met it; empty if nobody asked
     */
    public static String render(
            Verdict verdict, Optional<ObservedRosters> observed, TextLayout layout) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(observed, "observed");
        RequiredArgument.of(layout, "layout");
        return new CoverageText(verdict, observed, layout).render();
    }

    private String render() {
        page.line(0)
                .put(TextTone.TITLE, verdict.title())
                .put("· how real each profile is, from the desk to the real thing")
                .end();
        if (observed.isPresent()) {
            page.line(LABEL)
                    .put(
                            TextTone.QUIET,
                            "in brackets: how many runs met it; of several things, the least met"
                                    + " one")
                    .end();
        }
        int names = CheckText.widest(coverage.slots().stream().map(this::slot).toList()) + 4;
        for (List<Integer> some : blocks(names)) {
            table(some, names);
        }
        list("never real", coverage.neverReal().stream().map(this::need).toList());
        list("in no profile", coverage.unused().stream().map(verdict::shortName).sorted().toList());
        return page.toString();
    }

    /** Puts as many profiles beside each other as there is room for. */
    private List<List<Integer>> blocks(int names) {
        List<List<Integer>> blocks = new ArrayList<>();
        int room = layout.width() - names - FIRST.length();
        int used = room;
        for (int i = 0; i < coverage.profiles().size(); i++) {
            if (used + width(i) > room) {
                blocks.add(new ArrayList<>());
                used = 0;
            }
            blocks.get(blocks.size() - 1).add(i);
            used += width(i);
        }
        return blocks;
    }

    private void table(List<Integer> profiles, int names) {
        page.blank();
        TextPage.Line head = page.line(LABEL).put(TextTone.QUIET, "slot");
        int column = names;
        for (int i : profiles) {
            head.tab(column).put(TextTone.TITLE, coverage.profiles().get(i));
            column += width(i);
        }
        head.tab(column).put(TextTone.QUIET, FIRST).end();
        for (Use use : coverage.slots()) {
            line(use, profiles, names);
        }
    }

    private void line(Use use, List<Integer> profiles, int names) {
        TextPage.Line line = page.line(LABEL).put(slot(use));
        int column = names;
        for (int i : profiles) {
            Set<AnswerKind> kinds = use.kinds().get(i);
            line.tab(column);
            if (!kinds.isEmpty()) {
                AnswerKind last = List.copyOf(kinds).get(kinds.size() - 1);
                line.put(ReportWording.tone(last), words(kinds)).put(TextTone.QUIET, met(use, i));
            }
            column += width(i);
        }
        line.tab(column).put(use.firstReal().orElse("nowhere")).end();
        if (!use.bypassedBy().isEmpty()) {
            page.line(LABEL + 2)
                    .put(TextTone.BAD, ReportWording.alsoMade(verdict, use.bypassedBy()))
                    .end();
        }
    }

    private void list(String label, List<String> all) {
        page.blank()
                .line(LABEL)
                .put(TextTone.QUIET, label)
                .tab(LABEL + 15)
                .put(all.isEmpty() ? "nothing" : String.join(", ", all))
                .end();
    }

    private int width(int profile) {
        return widths.computeIfAbsent(profile, this::widest);
    }

    private int widest(int profile) {
        int widest = TextPage.width(coverage.profiles().get(profile));
        for (Use use : coverage.slots()) {
            widest =
                    Math.max(
                            widest,
                            (words(use.kinds().get(profile)) + " " + met(use, profile))
                                    .strip()
                                    .length());
        }
        return widest + 2;
    }

    private String met(Use use, int profile) {
        return observed.flatMap(all -> all.leastRuns(coverage.profiles().get(profile), use.slot()))
                .map(runs -> "(" + runs + ")")
                .orElse("");
    }

    private static String words(Set<AnswerKind> kinds) {
        return kinds.stream().map(AnswerKind::word).collect(Collectors.joining("/"));
    }

    private String slot(Use use) {
        return use.slot().text(verdict::shortName);
    }

    private String need(NeverReal one) {
        return verdict.shortName(one.consumer()) + " (" + one.need() + ")";
    }
}
