package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.model.Strictness;
import dev.patientharbor.rules.OverdueRule;
import dev.patientharbor.terms.Suppression;
import dev.patientharbor.texts.NameSearch;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;

/**
 * Gives each finding the severity that the user chose, and holds back what is suppressed. It knows
 * in the end which suppressions held nothing back.
 */
final class SuppressionFilter {

    private final Strictness strictness;
    private final Map<String, SuppressionIndex> byId = new HashMap<>();
    private final LocalDate today;
    private final Set<Suppression> used = new HashSet<>();

    /** What those findings name that could have been suppressed, by their ids. */
    private final Map<String, Set<String>> named = new HashMap<>();

    /**
     * The findings of the set, or of one profile: those that are reported, and those that are held
     * back.
     */
    record FilteredFindings(List<Finding> reported, List<SuppressedFinding> suppressed) {}

    SuppressionFilter(Strictness strictness, LocalDate today) {
        this.strictness = strictness;
        this.today = today;
        int place = 0;
        for (Suppression suppression : strictness.suppressions()) {
            byId.computeIfAbsent(suppression.id(), id -> new SuppressionIndex())
                    .add(place++, suppression);
        }
    }

    FilteredFindings filter(List<Finding> findings) {
        List<Finding> told = new ArrayList<>();
        List<SuppressedFinding> suppressed = new ArrayList<>();
        for (Finding finding : findings) {
            Finding one = weighed(finding);
            Suppression by = null;
            SuppressionIndex ofKind = byId.get(finding.kind().id());
            if (ofKind != null) {
                named.computeIfAbsent(finding.kind().id(), id -> new TreeSet<>())
                        .addAll(
                                SuppressionIndex.names(finding)
                                        .map(SuppressionIndex::shortened)
                                        .toList());
                for (Suppression suppression : ofKind.of(finding)) {
                    used.add(suppression);
                    by = suppression.grounds().isOver(today) ? by : suppression;
                }
            }
            if (by == null) {
                told.add(one);
            } else {
                suppressed.add(new SuppressedFinding(one, by));
            }
        }
        return new FilteredFindings(told, suppressed);
    }

    private NameSearch search(String id) {
        return new NameSearch(named.getOrDefault(id, Set.of()));
    }

    private Finding weighed(Finding finding) {
        Severity severity = strictness.severities().get(finding.kind().id());
        return severity == null ? finding : finding.as(severity);
    }

    /**
     * Returns what is wrong with the suppressions themselves; that cannot be suppressed.
     *
     * @param ids the suppressions of which kinds
     */
    List<Finding> findings(Predicate<String> ids) {
        List<Finding> findings = new ArrayList<>();
        Map<String, NameSearch> searches = new HashMap<>();
        for (Suppression suppression : strictness.suppressions()) {
            if (!ids.test(suppression.id())) {
                continue;
            }
            String what =
                    suppression.id()
                            + (suppression.of().isEmpty() ? "" : " of " + suppression.of());
            if (!used.contains(suppression)) {
                findings.add(
                        Finding.of(
                                        FindingKinds.SUPPRESSES_NOTHING,
                                        suppression.at(),
                                        what,
                                        "Nothing is found that would be " + what + ".")
                                .withAny(
                                        "because",
                                        suppression.grounds().because().stream().toList())
                                .withAny(
                                        "did you mean",
                                        searches.computeIfAbsent(suppression.id(), this::search)
                                                .near(suppression.of()))
                                .with("do", "take the suppression out, or mend its id or place"));
            } else if (suppression.grounds().isOver(today)) {
                findings.add(
                        OverdueRule.finding(
                                "The suppression of " + what,
                                what,
                                suppression.grounds(),
                                suppression.at()));
            }
        }
        return findings.stream().map(this::weighed).toList();
    }
}
