package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.NearNames;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Strictness;
import dev.patientharbor.model.Suppression;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
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

    /** What findings name that could have been suppressed, by their ids. */
    private final Map<String, Set<String>> named = new HashMap<>();

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
            List<Suppression> ofKind = byId.getOrDefault(finding.kind().id(), List.of());
            if (!ofKind.isEmpty()) {
                named.computeIfAbsent(finding.kind().id(), id -> new TreeSet<>())
                        .addAll(names(finding).map(Sieve::shortened).toList());
            }
            for (Suppression suppression : ofKind) {
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

    /**
     * What is wrong with the suppressions themselves; that cannot be suppressed.
     *
     * @param ids the suppressions of which kinds
     */
    List<Finding> findings(Predicate<String> ids) {
        List<Finding> findings = new ArrayList<>();
        for (Suppression one : strictness.suppressions()) {
            if (!ids.test(one.id())) {
                continue;
            }
            String what = one.id() + (one.of().isEmpty() ? "" : " of " + one.of());
            if (!used.contains(one)) {
                findings.add(
                        Finding.of(
                                        FindingKinds.SUPPRESSES_NOTHING,
                                        one.at(),
                                        what,
                                        "Nothing is found that would be " + what + ".")
                                .withAny("because", one.grounds().because().stream().toList())
                                .withAny(
                                        "did you mean",
                                        NearNames.of(
                                                one.of(), named.getOrDefault(one.id(), Set.of())))
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
        return of.isEmpty()
                || finding.at()
                        .match(
                                in -> isPlace(suppression, in),
                                in -> isCalled(in.className(), of),
                                in -> of.equals(in.text()))
                || names(finding).anyMatch(name -> isCalled(name, of));
    }

    /** Whether a line is meant, its file seen from where the suppression stands. */
    private static boolean isPlace(Suppression suppression, Where.InFile in) {
        String of = suppression.of();
        int colon = of.lastIndexOf(':');
        if (colon < 0 || !of.substring(colon + 1).equals(Integer.toString(in.line()))) {
            return false;
        }
        String file = of.substring(0, colon);
        String folder = suppression.at().match(own -> parent(own.path()), own -> "", own -> "");
        String path = normal(in.path());
        return path.equals(normal(file)) || path.equals(normal(folder + file));
    }

    private static String parent(String path) {
        return path.substring(0, path.replace('\\', '/').lastIndexOf('/') + 1);
    }

    private static String normal(String path) {
        try {
            return Path.of(path).normalize().toString();
        } catch (InvalidPathException noPath) {
            return path;
        }
    }

    /** The slots, classes and consumers that a finding names. */
    private static Stream<String> names(Finding finding) {
        return Stream.concat(finding.subjects().stream(), finding.consumers().stream());
    }

    /** Whether a slot or class is meant, its class names written short or in full. */
    private static boolean isCalled(String name, String of) {
        String shortName = shortened(name);
        return name.equals(of) || shortName.equals(of) || shortName.endsWith('.' + of);
    }

    /** Class names without their packages. */
    private static String shortened(String name) {
        return name.replaceAll("[\\w$]+\\.(?=[\\w$])", "").replace('$', '.');
    }
}
