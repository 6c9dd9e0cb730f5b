package dev.patientharbor.report;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.SuppressedFinding;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.terms.Suppression;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One cause, and the profiles that meet it.
 *
 * @param finding what is told of it, as the first of them does
 * @param profiles their names, in the order of the file; none if it concerns no profile alone
 * @param by what suppresses it; empty if it is reported
 */
record FindingOnce(Finding finding, List<String> profiles, Optional<Suppression> by) {

    boolean isNote() {
        return finding.severity() == Severity.NOTE;
    }

    /** What is reported; of the same profiles together, and notes after all that is wrong. */
    static List<FindingOnce> reported(Verdict verdict) {
        Map<String, FindingOnce> causes = new LinkedHashMap<>();
        verdict.findings().forEach(finding -> add(causes, finding, Optional.empty(), ""));
        for (ProfileVerdict profile : verdict.profiles()) {
            profile.findings()
                    .forEach(finding -> add(causes, finding, Optional.empty(), profile.name()));
        }
        // Those of the same profiles together, in the order in which the first of them comes.
        List<FindingOnce> all = new ArrayList<>(together(causes.values(), false));
        all.addAll(together(causes.values(), true));
        return all;
    }

    /** What is suppressed, that of no profile alone first. */
    static List<FindingOnce> suppressed(Verdict verdict) {
        Map<String, FindingOnce> causes = new LinkedHashMap<>();
        verdict.suppressed().forEach(each -> add(causes, each, ""));
        for (ProfileVerdict profile : verdict.profiles()) {
            profile.suppressed().forEach(each -> add(causes, each, profile.name()));
        }
        return List.copyOf(causes.values());
    }

    private static void add(
            Map<String, FindingOnce> causes, SuppressedFinding suppressed, String profile) {
        add(causes, suppressed.finding(), Optional.of(suppressed.by()), profile);
    }

    private static void add(
            Map<String, FindingOnce> causes,
            Finding finding,
            Optional<Suppression> by,
            String profile) {
        FindingOnce once =
                causes.computeIfAbsent(
                        finding.identity(), id -> new FindingOnce(finding, new ArrayList<>(), by));
        if (!profile.isEmpty()) {
            once.profiles().add(profile);
        }
    }

    private static List<FindingOnce> together(Collection<FindingOnce> causes, boolean notes) {
        Map<List<String>, List<FindingOnce>> together = new LinkedHashMap<>();
        for (FindingOnce cause : causes) {
            if (cause.isNote() == notes) {
                together.computeIfAbsent(cause.profiles(), same -> new ArrayList<>()).add(cause);
            }
        }
        return together.values().stream().flatMap(List::stream).toList();
    }
}
