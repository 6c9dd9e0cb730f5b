package dev.patientharbor.report;

import dev.patientharbor.check.Coverage;
import dev.patientharbor.check.Coverage.NeverReal;
import dev.patientharbor.check.Coverage.Use;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.plan.AnswerKind;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** How real each environment is, for people: slot by slot, profile beside profile. */
public final class CoverageText {

    private static final int LABEL = 2;

    private final Verdict verdict;
    private final Coverage coverage;
    private final Page page;

    private CoverageText(Verdict verdict, Layout layout) {
        this.verdict = verdict;
        coverage = verdict.coverage();
        page = new Page(layout);
    }

    /** The whole text; every line ends with {@code \n}. */
    public static String render(Verdict verdict, Layout layout) {
        return new CoverageText(verdict, layout).render();
    }

    private String render() {
        page.line(0)
                .put(Tone.TITLE, verdict.title())
                .put("· how real each profile is, from the desk to the real thing")
                .end()
                .blank();
        int names = CheckText.widest(coverage.slots().stream().map(this::slot).toList()) + 4;
        Page.Line head = page.line(LABEL).put(Tone.QUIET, "slot");
        int column = names;
        for (int i = 0; i < coverage.profiles().size(); i++) {
            head.tab(column).put(Tone.TITLE, coverage.profiles().get(i));
            column += width(i);
        }
        head.tab(column).put(Tone.QUIET, "first real use").end();
        for (Use use : coverage.slots()) {
            line(use, names);
        }
        tell("never real", coverage.neverReal().stream().map(this::need).toList());
        tell("in no profile", coverage.unused().stream().map(verdict::shortName).sorted().toList());
        return page.toString();
    }

    private void line(Use use, int names) {
        Page.Line line = page.line(LABEL).put(slot(use));
        int column = names;
        for (int i = 0; i < use.kinds().size(); i++) {
            Set<AnswerKind> kinds = use.kinds().get(i);
            line.tab(column);
            if (!kinds.isEmpty()) {
                AnswerKind last = List.copyOf(kinds).get(kinds.size() - 1);
                line.put(Words.tone(last), words(kinds));
            }
            column += width(i);
        }
        line.tab(column).put(use.firstReal().orElse("nowhere")).end();
    }

    private void tell(String label, List<String> all) {
        page.blank()
                .line(LABEL)
                .put(Tone.QUIET, label)
                .tab(LABEL + 15)
                .put(all.isEmpty() ? "nothing" : String.join(", ", all))
                .end();
    }

    private int width(int profile) {
        int widest = coverage.profiles().get(profile).length();
        for (Use use : coverage.slots()) {
            widest = Math.max(widest, words(use.kinds().get(profile)).length());
        }
        return widest + 2;
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
