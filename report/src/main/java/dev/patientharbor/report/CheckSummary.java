package dev.patientharbor.report;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Severity;
import java.util.List;
import java.util.StringJoiner;

/** What a check comes to, in one line. */
final class CheckSummary {

    private CheckSummary() {}

    /** All profiles together: {@code All 4 profiles are complete: 2 notes.} */
    static String of(Verdict verdict) {
        return summary(
                verdict, FindingOnce.reported(verdict), FindingOnce.suppressed(verdict).size());
    }

    private static String summary(Verdict verdict, List<FindingOnce> causes, int suppressed) {
        long incomplete =
                verdict.profiles().stream()
                        .filter(profile -> profile.complete().filter(whole -> !whole).isPresent())
                        .count();
        long checked = verdict.profiles().stream().filter(profile -> !profile.isPartial()).count();
        String findings = counts(causes.stream().map(FindingOnce::finding).toList(), suppressed);
        String profiles =
                checked == 0
                        ? "No profile was checked"
                        : incomplete == 0
                                ? all(checked) + " complete"
                                : incomplete
                                        + " of "
                                        + ReportWording.count(checked, "profile")
                                        + (incomplete == 1 ? " is" : " are")
                                        + " not complete";
        return profiles + (findings.isEmpty() ? "." : ": " + findings + ".") + built(verdict);
    }

    /** How the build went, if one was asked for. */
    private static String built(Verdict verdict) {
        List<Boolean> built =
                verdict.profiles().stream().flatMap(profile -> profile.built().stream()).toList();
        long whole = built.stream().filter(value -> value).count();
        return built.isEmpty()
                ? ""
                : " Built "
                        + whole
                        + " of "
                        + ReportWording.count(built.size(), "complete profile")
                        + ".";
    }

    private static String all(long checked) {
        return checked == 1
                ? "The profile is"
                : checked == 2 ? "Both profiles are" : "All " + checked + " profiles are";
    }

    /** How many findings of which severity a profile has; blank for none. */
    static String counts(ProfileVerdict profile) {
        return counts(profile.findings(), profile.suppressed().size());
    }

    private static String counts(List<Finding> findings, int suppressed) {
        StringJoiner counts = new StringJoiner(", ");
        for (Severity severity : List.of(Severity.ERROR, Severity.WARNING, Severity.NOTE)) {
            long number =
                    findings.stream().filter(finding -> finding.severity() == severity).count();
            if (number > 0) {
                counts.add(ReportWording.count(number, severity.word()));
            }
        }
        if (suppressed > 0) {
            counts.add(suppressed + " suppressed");
        }
        return counts.toString();
    }
}
