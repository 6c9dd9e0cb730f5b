package dev.patientharbor.cli;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.ChangeKind;
import dev.patientharbor.comparing.RosterComparison;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.report.ComparisonText;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code compare}: what differs between two profiles, or what would if a line stood in one? */
final class CompareCommand {

    private CompareCommand() {}

    static CommandSpec spec() {
        return CompareOptions.comparing();
    }

    static int run(ParseResult parsed, Console console) {
        CompareOptions.Compared compared = CompareOptions.compared(parsed);
        List<String> lines = CompareOptions.tried(parsed);
        if (SavedComparison.isWanted(compared) && lines.isEmpty()) {
            return SavedComparison.run(parsed, compared, console);
        }
        if (compared.names().size() != (lines.isEmpty() ? 2 : 1)) {
            throw new UnusableException(
                    "compare takes two profiles, one and --with 'SLOT: SUPPLY', or one or two"
                            + " saved rosters (.json); it was given "
                            + (compared.names().isEmpty()
                                    ? "none"
                                    : String.join(", ", compared.names())));
        }
        ProfileSet set = CheckRun.set(parsed, compared.file());
        ResultOutput output = ResultOutput.of(parsed, set, console);
        Verdict before = CheckRun.checked(set, parsed);
        Verdict after =
                lines.isEmpty() ? before : tried(tried(parsed, compared, lines), set, parsed);
        String first = compared.names().get(0);
        String second = lines.isEmpty() ? compared.names().get(1) : first;
        RosterComparison whole = compare(before, after, first, second, lines);
        Set<ChangeKind> shown = CompareOptions.shown(parsed);
        output.write(
                ComparisonText.render(
                        whole,
                        shown,
                        before,
                        after,
                        lines.isEmpty()
                                ? Optional.empty()
                                : Optional.of(broken(before, after, first)),
                        output.layout()));
        CommandEnding.pointToFindings(before, console);
        boolean differs = !whole.only(shown.toArray(ChangeKind[]::new)).isSame();
        return CompareOptions.failsOnDifference(parsed) && differs
                ? ExitCode.FINDINGS
                : ExitCode.CLEAN;
    }

    /**
     * The verdict of what is tried; what was read of the code for what it changes is not read
     * again.
     */
    private static Verdict tried(ProfileSet changed, ProfileSet set, ParseResult parsed) {
        changed.shareCodeOf(set);
        return CheckRun.checked(changed, parsed);
    }

    private static ProfileSet tried(
            ParseResult parsed, CompareOptions.Compared compared, List<String> lines) {
        Path file = CheckRun.profileFile(compared.file());
        try {
            String profile = compared.names().get(0);
            ProfileSet set =
                    CommandOptions.isInsideFolder(parsed)
                            ? ProfileFiles.readInsideWith(file, profile, lines)
                            : ProfileFiles.readWith(file, profile, lines);
            List<String> code = CommandOptions.code(parsed);
            return code.isEmpty() ? set : set.withCode(CheckRun.given(code));
        } catch (IllegalArgumentException unusable) {
            throw new UnusableException(unusable.getMessage());
        }
    }

    private static RosterComparison compare(
            Verdict before, Verdict after, String first, String second, List<String> lines) {
        try {
            RosterComparison comparison =
                    RosterComparison.of(before.roster(first), after.roster(second));
            return lines.isEmpty() ? comparison : comparison.named(first, "tried");
        } catch (IllegalArgumentException unusable) {
            throw new UnusableException(unusable.getMessage());
        }
    }

    /** What is wrong in the profile, or in the file as a whole, and was not before. */
    private static List<Finding> broken(Verdict before, Verdict after, String profile) {
        Set<String> known = new HashSet<>();
        findings(before, profile).forEach(finding -> known.add(finding.message()));
        return findings(after, profile).stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .filter(finding -> known.add(finding.message()))
                .toList();
    }

    private static List<Finding> findings(Verdict verdict, String profile) {
        List<Finding> all = new ArrayList<>(verdict.findings());
        verdict.profiles().stream()
                .filter(each -> each.name().equals(profile))
                .forEach(each -> all.addAll(each.findings()));
        return all;
    }
}
