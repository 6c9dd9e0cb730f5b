package dev.patientharbor.report;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.observing.AnswerInUse;
import dev.patientharbor.observing.EntryInUse;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.texts.RequiredArgument;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Writes for people which answers runs met, and first of all which none did. */
public final class ObservedText {

    private static final int WIDEST_LABEL = 44;

    private final Verdict verdict;
    private final ObservedRosters observed;
    private final TextPage page;

    private ObservedText(Verdict verdict, ObservedRosters observed, TextLayout layout) {
        this.verdict = verdict;
        this.observed = observed;
        page = new TextPage(layout);
    }

    /** The text; every line ends with {@code \n}. */
    public static String render(Verdict verdict, ObservedRosters observed, TextLayout layout) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(observed, "observed");
        RequiredArgument.of(layout, "layout");
        return new ObservedText(verdict, observed, layout).render();
    }

    private String render() {
        List<AnswerInUse> never = observed.answers().stream().filter(it -> !it.isMet()).toList();
        List<AnswerInUse> met = observed.answers().stream().filter(AnswerInUse::isMet).toList();
        page.blank()
                .line(0)
                .put(TextTone.TITLE, "What runs met")
                .put(
                        "· "
                                + met.size()
                                + " of "
                                + ReportWording.count(observed.answers().size(), "answer"))
                .end();
        int column =
                4
                        + Math.min(
                                WIDEST_LABEL,
                                CheckText.widest(
                                        observed.answers().stream().map(this::label).toList()))
                        + 2;
        heading("no run met", never.isEmpty());
        never.forEach(
                each ->
                        page.labelled(
                                4,
                                label(each),
                                column,
                                in(each.runs())
                                        + " · for "
                                        + ReportWording.someClasses(verdict, each.consumers())));
        List<String> unmade =
                observed.entries().stream()
                        .filter(entry -> !entry.isMet())
                        .map(EntryInUse::consumer)
                        .map(verdict::shortName)
                        .toList();
        if (!unmade.isEmpty()) {
            heading("entry consumers that no run made", false);
            page.line(4).put(String.join(", ", unmade)).end();
        }
        heading("met, by runs under each profile", met.isEmpty());
        met.forEach(
                each ->
                        page.labelled(
                                4,
                                label(each),
                                column,
                                runs(each.runs())
                                        + each.calls()
                                                .map(calls -> ReportWording.count(calls, "call"))
                                                .map(calls -> " · " + calls)
                                                .orElse("")));
        int old = observed.outdated().size();
        if (old > 0) {
            page.blank()
                    .line(2)
                    .put(
                            TextTone.CAREFUL,
                            ReportWording.count(old, "answer")
                                    + " that runs met "
                                    + (old == 1 ? "stands" : "stand")
                                    + " in these profiles no more, or "
                                    + (old == 1 ? "was" : "were")
                                    + " swapped in by a test.")
                    .end();
        }
        return page.toString();
    }

    private void heading(String words, boolean empty) {
        page.blank().line(2).put(TextTone.QUIET, words + (empty ? ": nothing" : "")).end();
    }

    private String label(AnswerInUse each) {
        return ReportWording.slot(verdict, each.slot())
                + ": "
                + ReportWording.chain(verdict, each.answer())
                + (each.answer().around().isEmpty() ? "" : " ")
                + ReportWording.core(verdict, each.answer());
    }

    private String in(Map<String, Integer> runs) {
        return String.join(", ", runs.keySet()) + (runs.size() == 1 ? " alone" : "");
    }

    private static String runs(Map<String, Integer> runs) {
        return runs.entrySet().stream()
                .map(each -> each.getKey() + " " + each.getValue())
                .collect(Collectors.joining(", "));
    }
}
