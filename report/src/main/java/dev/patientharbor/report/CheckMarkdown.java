package dev.patientharbor.report;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingDetail;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.VisibleText;
import java.util.List;

/** Writes what a check found as Markdown that fits into the comment of a review. */
public final class CheckMarkdown {

    /** How many findings are shown: a comment that nobody reads to its end helps nobody. */
    private static final int MOST = 20;

    private final Verdict verdict;
    private final StringBuilder text = new StringBuilder();

    private CheckMarkdown(Verdict verdict) {
        this.verdict = verdict;
    }

    /** The whole text; it ends with {@code \n}. */
    public static String render(Verdict verdict) {
        return new CheckMarkdown(RequiredArgument.of(verdict, "verdict")).render();
    }

    private String render() {
        text.append("## ").append(MarkdownTable.cell(verdict.title())).append("\n\n");
        text.append(MarkdownTable.cell(CheckSummary.of(verdict))).append("\n\n");
        text.append(MarkdownTable.head(List.of("profile", "", "needs met", "findings")));
        for (ProfileVerdict profile : verdict.profiles()) {
            text.append(
                    MarkdownTable.row(
                            List.of(
                                    profile.name(),
                                    profile.complete()
                                            .map(whole -> whole ? "complete" : "INCOMPLETE")
                                            .orElse("partial"),
                                    profile.isPartial()
                                            ? ""
                                            : profile.met() + " of " + profile.needs(),
                                    CheckSummary.counts(profile))));
        }
        List<FindingOnce> all =
                FindingOnce.reported(verdict).stream().filter(each -> !each.isNote()).toList();
        all.stream().limit(MOST).forEach(this::finding);
        if (all.size() > MOST) {
            text.append("\n… and ")
                    .append(ReportWording.count(all.size() - MOST, "finding"))
                    .append(" more.\n");
        }
        return text.toString();
    }

    private void finding(FindingOnce once) {
        Finding finding = once.finding();
        text.append("\n### ")
                .append(finding.severity().word())
                .append(' ')
                .append(finding.kind().id())
                .append("\n\n")
                .append(MarkdownTable.cell(finding.message()))
                .append("\n\n- at ")
                .append(MarkdownTable.code(finding.at().text()))
                .append("\n");
        if (!once.profiles().isEmpty()) {
            text.append("- in ")
                    .append(MarkdownTable.cell(String.join(", ", once.profiles())))
                    .append("\n");
        }
        for (FindingDetail detail : finding.details()) {
            if (!detail.label().equals("write")) {
                text.append("- ")
                        .append(MarkdownTable.cell(detail.label()))
                        .append(": ")
                        .append(MarkdownTable.cell(String.join(" · ", detail.lines())))
                        .append("\n");
            }
        }
        for (FindingDetail detail : finding.details()) {
            if (detail.label().equals("write")) {
                text.append("\nwrite:\n\n");
                detail.lines()
                        .forEach(
                                line ->
                                        text.append("    ")
                                                .append(VisibleText.of(line))
                                                .append("\n"));
            }
        }
    }
}
