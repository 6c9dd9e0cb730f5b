package dev.patientharbor.cli;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.ChangeKind;
import dev.patientharbor.comparing.RosterComparison;
import dev.patientharbor.files.FilePaths;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterSource;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.report.ComparisonText;
import dev.patientharbor.report.SavedRosters;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import picocli.CommandLine.ParseResult;

/** {@code compare} with what {@code roster --format json} has saved, profile by profile. */
final class SavedComparison {

    private static final String JSON = ".json";

    private SavedComparison() {}

    /**
     * One of the two that are compared.
     *
     * @param name what it is called beside its rows
     * @param source whence its rosters come
     * @param rosters by profile
     */
    private record Side(String name, RosterSource source, Map<String, Roster> rosters) {}

    /** Whether the names are those of saved rosters. */
    static boolean isWanted(CompareOptions.Compared compared) {
        return !compared.names().isEmpty()
                && compared.names().size() <= 2
                && compared.names().stream().allMatch(name -> name.endsWith(JSON));
    }

    static int run(ParseResult parsed, CompareOptions.Compared compared, Console console) {
        List<String> names = compared.names();
        if (names.size() == 2) {
            if (!compared.file().isEmpty()) {
                throw new UnusableException(
                        "two saved rosters are compared with each other; leave out "
                                + compared.file());
            }
            boolean areAlike = stem(names.get(0)).equals(stem(names.get(1)));
            return write(
                    saved(areAlike ? "first" : stem(names.get(0)), names.get(0)),
                    saved(areAlike ? "second" : stem(names.get(1)), names.get(1)),
                    parsed,
                    ResultOutput.of(parsed, console));
        }
        ProfileSet set = CheckRun.set(parsed, compared.file());
        ResultOutput output = ResultOutput.of(parsed, set, console);
        Verdict now = CheckRun.checked(set, parsed);
        int code =
                write(
                        saved("saved", names.get(0)),
                        new Side("now", now, now.rosters()),
                        parsed,
                        output);
        CommandEnding.pointToFindings(now, console);
        return code;
    }

    private static String stem(String name) {
        String file = Path.of(name).getFileName().toString();
        return file.substring(0, file.length() - JSON.length());
    }

    private static Side saved(String name, String given) {
        try {
            SavedRosters saved =
                    SavedRosters.read(Files.readString(FilePaths.resolve(Path.of(""), given)));
            return new Side(name, saved, saved.rosters());
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot read " + given, fault);
        } catch (IllegalArgumentException unusable) {
            throw new UnusableException(given + ": " + unusable.getMessage());
        }
    }

    private static int write(Side before, Side after, ParseResult parsed, ResultOutput output) {
        Set<ChangeKind> shown = CompareOptions.shown(parsed);
        Set<String> profiles = new LinkedHashSet<>(before.rosters().keySet());
        profiles.addAll(after.rosters().keySet());
        StringBuilder text =
                new StringBuilder(
                        ComparisonText.places(before.source(), after.source(), output.layout()));
        boolean differs = false;
        for (String profile : profiles) {
            Optional<Roster> first = Optional.ofNullable(before.rosters().get(profile));
            Optional<Roster> second = Optional.ofNullable(after.rosters().get(profile));
            text.append("\n");
            if (first.isEmpty() || second.isEmpty()) {
                differs = true;
                text.append(profile)
                        .append(" · only in ")
                        .append(first.isEmpty() ? after.name() : before.name())
                        .append("\n");
                continue;
            }
            RosterComparison whole =
                    RosterComparison.of(first.get(), second.get())
                            .named(before.name(), after.name());
            differs |= !whole.only(shown.toArray(ChangeKind[]::new)).isSame();
            text.append(
                    ComparisonText.ofProfile(
                            profile,
                            whole,
                            shown,
                            before.source(),
                            after.source(),
                            output.layout()));
        }
        output.write(text.toString());
        return CompareOptions.failsOnDifference(parsed) && differs
                ? ExitCode.FINDINGS
                : ExitCode.CLEAN;
    }
}
