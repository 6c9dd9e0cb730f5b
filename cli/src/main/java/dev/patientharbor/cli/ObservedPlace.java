package dev.patientharbor.cli;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.RosterFilter;
import dev.patientharbor.files.FilePaths;
import dev.patientharbor.observing.ObservedFiles;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.observing.ObservedUse;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/** Reads what runs left behind. */
final class ObservedPlace {

    private ObservedPlace() {}

    /**
     * Reads it, and puts it beside the rosters of a verdict.
     *
     * @param place a file, or a folder of them
     * @param filter which rows are told of
     */
    static ObservedRosters read(String place, Verdict verdict, RosterFilter filter) {
        List<ObservedUse> all = files(place);
        if (all.stream().noneMatch(each -> each.isOf(verdict.title()))) {
            throw new UnusableException(
                    all.isEmpty()
                            ? "nothing was observed in "
                                    + place
                                    + "; run the tests with -Dpatientharbor.observed="
                                    + place
                            : "what was observed in "
                                    + place
                                    + " is of other sets: none is called "
                                    + verdict.title());
        }
        Map<String, Roster> shown = verdict.rosters();
        Predicate<RosterRow> filtered = filter.over(shown.values());
        return ObservedRosters.of(
                verdict.allRosters().values(),
                ObservedUse.joined(verdict.title(), all),
                (profile, row) -> shown.containsKey(profile) && filtered.test(row));
    }

    private static List<ObservedUse> files(String place) {
        try {
            return ObservedFiles.read(FilePaths.resolve(Path.of(""), place));
        } catch (NoSuchFileException missing) {
            throw new UnusableException(
                    "there is no "
                            + place
                            + "; run the tests with -Dpatientharbor.observed="
                            + place);
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot read " + place, fault);
        } catch (IllegalArgumentException unusable) {
            throw new UnusableException(unusable.getMessage());
        }
    }
}
