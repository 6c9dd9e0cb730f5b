package dev.patientharbor.finding;

import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.VisibleText;
import java.util.List;

/** A finding as text of several lines, for messages of exceptions: what, where, what to do. */
public final class FindingText {

    private static final int COLUMN = 14;

    private FindingText() {}

    /** Returns the text of several findings, each with a blank line before it. */
    public static String of(List<Finding> findings) {
        RequiredArgument.of(findings, "findings");
        StringBuilder text = new StringBuilder();
        findings.forEach(finding -> text.append('\n').append(of(finding)));
        return text.toString();
    }

    /** Returns the text of one finding; every line ends with {@code \n}. */
    public static String of(Finding finding) {
        RequiredArgument.of(finding, "finding");
        StringBuilder text = new StringBuilder();
        text.append(finding.severity().word())
                .append(' ')
                .append(finding.kind().id())
                .append(" · ")
                .append(VisibleText.of(finding.at().text()))
                .append("\n  ")
                .append(VisibleText.of(finding.message()))
                .append('\n');
        for (FindingDetail detail : finding.details()) {
            String label = detail.label();
            for (String line : detail.lines()) {
                text.append("  ")
                        .append(label)
                        .append(" ".repeat(Math.max(2, COLUMN - label.length())))
                        .append(VisibleText.of(line))
                        .append('\n');
                label = "";
            }
        }
        return text.toString();
    }
}
