package dev.patientharbor.report;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingDetail;
import java.util.List;
import java.util.Set;

/** What a finding says is to be done: the lines to write, or what to do. */
final class FindingRemedy {

    private static final Set<String> LABELS = Set.of("write", "do");

    private FindingRemedy() {}

    /** The lines, in order; none if nothing is proposed. */
    static List<String> lines(Finding finding) {
        return finding.details().stream()
                .filter(FindingRemedy::is)
                .flatMap(detail -> detail.lines().stream())
                .toList();
    }

    static boolean is(FindingDetail detail) {
        return LABELS.contains(detail.label());
    }
}
