package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.model.Strictness;
import dev.patientharbor.model.Suppression;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Tells findings as grave as the user wants them, and holds back what is suppressed. It knows in
 * the end which suppressions held nothing back.
 */
final class Sieve {

    private final Strictness strictness;
    private final Map<String, List<Suppression>> byId = new HashMap<>();
    private final LocalDate today;
    private final Set<Suppression> used = new HashSet<>();

    /** What is told and what is not, of the set or of one profile. */
    record Sifted(List<Finding> told, List<Suppressed> suppressed) {}

    Sieve(Strictness strictness, LocalDate today) {
        this.strictness = strictness;
        this.today = today;
        for (Suppression one : strictness.suppressions()) {
            byId.computeIfAbsent(one.id(), id -> new ArrayList<>()).add(one);
        }
    }

    Sifted sift(List<Finding> findings) {
        List<Finding> told = new ArrayList<>();
        List<Suppressed> suppressed = new ArrayList<>();
        for (Finding finding : findings) {
            Finding one = weighed(finding);
            Suppression by = null;
            for (Suppression suppression : byId.getOrDefault(finding.kind().id(), List.of())) {
                if (names(suppression, finding)) {
                    used.add(suppression);
                    by = suppression.grounds().isOver(today) ? by : suppression;
                }
            }
            if (by == null) {
                told.add(one);
            } else {
                suppressed.add(new Suppressed(one, by));
            }
        }
        return new Sifted(told, suppressed);
    }

    private Finding weighed(Finding finding) {
        Severity severity = strictness.severities().get(finding.kind().id());
        return severity == null ? finding : finding.as(severity);
    }

    /** What is wrong with the suppressions themselves; that cannot be suppressed. */
    List<Finding> findings() {
        List<Finding> findings = new ArrayList<>();
        for (Suppression one : strictness.suppressions()) {
            String what = one.id() + " of " + one.of();
            if (!used.contains(one)) {
                findings.add(
                        Finding.of(
                                        FindingKinds.SUPPRESSES_NOTHING,
                                        one.at(),
                                        what,
                                        "Nothing is found that would be " + what + ".")
                                .withAny("because", one.grounds().because().stream().toList())
                                .with("do", "take the suppression out, or mend its id or place"));
            } else if (one.grounds().isOver(today)) {
                findings.add(
                        OverdueRule.finding(
                                "The suppression of " + what, what, one.grounds(), one.at()));
            }
        }
        return findings.stream().map(this::weighed).toList();
    }

    private static boolean names(Suppression suppression, Finding finding) {
        String of = suppression.of();
        return finding.at()
                        .match(
                                in -> of.equals(in.path() + ":" + in.line()),
                                in -> isCalled(in.className(), of),
                                in -> of.equals(in.text()))
                || Stream.concat(
                                Arrays.stream(finding.cause().split(" ")),
                                finding.consumers().stream())
                        .anyMatch(name -> isCalled(name, of));
    }

    /** Whether a slot or class is meant, its class names written short or in full. */
    private static boolean isCalled(String name, String of) {
        String shortName = name.replaceAll("[\\w$]+\\.(?=[\\w$])", "").replace('$', '.');
        return name.equals(of) || shortName.equals(of) || shortName.endsWith('.' + of);
    }
}
