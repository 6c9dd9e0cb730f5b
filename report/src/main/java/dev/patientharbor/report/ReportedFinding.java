package dev.patientharbor.report;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * A finding as people read it, part by part; class names short.
 *
 * @param id the id of its kind
 * @param severity how grave it is, in a word
 * @param incomplete whether it makes a profile incomplete
 * @param message what is wrong
 * @param place where
 * @param profiles in which profiles; none if it concerns no profile alone
 * @param facts what was looked at, whom it touches, and what to do
 * @param suppressedBecause why it is not reported; blank if it is
 * @param page what its kind means, as Markdown
 */
public record ReportedFinding(
        String id,
        String severity,
        boolean incomplete,
        String message,
        String place,
        List<String> profiles,
        List<Fact> facts,
        String suppressedBecause,
        String page) {

    public ReportedFinding {
        RequiredArgument.of(id, "id");
        RequiredArgument.of(severity, "severity");
        RequiredArgument.of(message, "message");
        RequiredArgument.of(place, "place");
        RequiredArgument.of(profiles, "profiles");
        RequiredArgument.of(facts, "facts");
        RequiredArgument.of(suppressedBecause, "suppressedBecause");
        RequiredArgument.of(page, "page");
        profiles = List.copyOf(profiles);
        facts = List.copyOf(facts);
    }

    /**
     * One more fact.
     *
     * @param label what it is; {@code write} for lines to write
     * @param lines the fact
     */
    public record Fact(String label, List<String> lines) {
        public Fact {
            RequiredArgument.of(label, "label");
            RequiredArgument.of(lines, "lines");
            lines = List.copyOf(lines);
        }
    }

    /** Returns all findings of a check, each once: what is reported, notes last, then the rest. */
    public static List<ReportedFinding> all(Verdict verdict) {
        RequiredArgument.of(verdict, "verdict");
        return Stream.concat(
                        FindingOnce.reported(verdict).stream(),
                        FindingOnce.suppressed(verdict).stream())
                .map(once -> of(verdict, once))
                .toList();
    }

    /** Returns what a check comes to, in one line. */
    public static String summary(Verdict verdict) {
        return CheckSummary.of(RequiredArgument.of(verdict, "verdict"));
    }

    private static ReportedFinding of(Verdict verdict, FindingOnce once) {
        Finding finding = once.finding();
        List<Fact> facts = new ArrayList<>();
        FindingMessage.facts(verdict, finding)
                .forEach(detail -> facts.add(new Fact(detail.label(), detail.lines())));
        return new ReportedFinding(
                finding.kind().id(),
                finding.severity().word(),
                finding.kind().breaksCompleteness(),
                finding.message(),
                finding.at().text(),
                once.profiles(),
                facts,
                once.by().flatMap(by -> by.grounds().because()).orElse(""),
                FindingPages.markdown(finding.kind()));
    }
}
