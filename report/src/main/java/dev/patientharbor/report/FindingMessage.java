package dev.patientharbor.report;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingDetail;
import java.util.List;

/** A whole finding as plain lines, where no page is laid out: message, facts, what to do. */
final class FindingMessage {

    private FindingMessage() {}

    static String of(Verdict verdict, Finding finding) {
        StringBuilder text = new StringBuilder(finding.message());
        if (finding.consumers().size() > 1) {
            add(text, "asked by", List.of(ReportWording.someClasses(verdict, finding.consumers())));
        }
        if (!finding.entries().isEmpty() && !finding.entries().equals(finding.consumers())) {
            add(text, "not whole", List.of(ReportWording.someClasses(verdict, finding.entries())));
        }
        for (FindingDetail detail : finding.details()) {
            add(text, detail.label(), detail.lines());
        }
        return text.toString();
    }

    private static void add(StringBuilder text, String label, List<String> lines) {
        text.append('\n').append(label).append(": ").append(String.join("\n  ", lines));
    }
}
