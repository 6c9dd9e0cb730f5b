package dev.patientharbor.report;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingDetail;
import java.util.ArrayList;
import java.util.List;

/** A whole finding as plain lines, where no page is laid out: message, facts, what to do. */
final class FindingMessage {

    private FindingMessage() {}

    static String of(Verdict verdict, Finding finding) {
        StringBuilder text = new StringBuilder(finding.message());
        facts(verdict, finding)
                .forEach(
                        fact ->
                                text.append('\n')
                                        .append(fact.label())
                                        .append(": ")
                                        .append(String.join("\n  ", fact.lines())));
        return text.toString();
    }

    /** Whom it touches, before what is to be done; then all else in its order. */
    static List<FindingDetail> facts(Verdict verdict, Finding finding) {
        List<FindingDetail> facts = new ArrayList<>(finding.details());
        int place = 0;
        while (place < facts.size() && !FindingRemedy.is(facts.get(place))) {
            place++;
        }
        if (!finding.entries().isEmpty() && !finding.entries().equals(finding.consumers())) {
            facts.add(place, classes(verdict, "not whole", finding.entries()));
        }
        if (finding.consumers().size() > 1) {
            facts.add(place, classes(verdict, "asked by", finding.consumers()));
        }
        return facts;
    }

    private static FindingDetail classes(Verdict verdict, String label, List<String> names) {
        return new FindingDetail(label, List.of(ReportWording.someClasses(verdict, names)));
    }
}
