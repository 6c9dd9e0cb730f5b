package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.ruling.FindingReporter;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Decides which absences are reported: those on which all sides agree that could notice one. */
final class AbsenceAgreement {

    /** The kinds that say that something is missing: true of the set only if no side has it. */
    private static final Set<FindingKind> ABSENCES =
            Set.of(
                    FindingKinds.UNKNOWN_CLASS,
                    FindingKinds.TEST_CODE,
                    FindingKinds.UNKNOWN_ENTRY,
                    FindingKinds.UNKNOWN_AREA,
                    FindingKinds.UNUSED_BINDING,
                    FindingKinds.LOOKUP_UNSEEN,
                    FindingKinds.NOTHING_TO_CHECK);

    private final Map<String, Set<FindingReporter>> byIdentity = new HashMap<>();
    private final Map<String, Boolean> decided = new HashMap<>();

    void add(FindingReporter side, Finding finding) {
        byIdentity.computeIfAbsent(finding.identity(), it -> new HashSet<>()).add(side);
    }

    /**
     * Returns whether a finding is reported: it is no absence, or every side reports it that could,
     * but for those that leave it out for a reason.
     *
     * @param able who can tell it
     */
    boolean isReported(Finding finding, List<FindingReporter> able) {
        return !ABSENCES.contains(finding.kind())
                || decided.computeIfAbsent(
                        finding.identity(),
                        key ->
                                able.stream()
                                        .filter(side -> !byIdentity.get(key).contains(side))
                                        .allMatch(side -> side.hasExplained(finding.kind())));
    }
}
