package dev.patientharbor.accepting;

import dev.patientharbor.plan.Roster;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.texts.BarredRow;
import dev.patientharbor.texts.RequiredArgument;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * The roster that people have accepted: a line for each need of each profile, sorted, without
 * places, so that a change of who receives what is a change of exactly those lines. Immutable.
 *
 * @param file the name of its file, as it was given
 * @param lines by their numbers in the file, from 1
 */
public record AcceptedRoster(String file, Map<Integer, AcceptedLine> lines) {

    /** The order of {@code LC_ALL=C sort}: texts by their bytes in UTF-8. */
    static final Comparator<String> BYTES =
            (first, second) ->
                    Arrays.compareUnsigned(
                            first.getBytes(StandardCharsets.UTF_8),
                            second.getBytes(StandardCharsets.UTF_8));

    private static final List<String> HEAD =
            List.of(
                    "# The accepted roster: consumer | need | profile | slot | what it receives.",
                    "# Written by patient-harbor accept; several files are joined by LC_ALL=C sort"
                            + " -u.");

    private static final int PARTS = 5;

    public AcceptedRoster {
        RequiredArgument.of(file, "file");
        RequiredArgument.of(lines, "lines");
        lines = Collections.unmodifiableMap(new TreeMap<>(lines));
    }

    /**
     * Returns the whole text of some rosters; it ends with {@code \n}.
     *
     * @param hardWired what consumers make or fetch by themselves, by binary name: it has a line in
     *     each profile
     */
    public static String text(Collection<Roster> rosters, Map<String, List<HardWiring>> hardWired) {
        RequiredArgument.of(rosters, "rosters");
        RequiredArgument.of(hardWired, "hardWired");
        List<String> all = new ArrayList<>(HEAD);
        rosters.forEach(
                roster ->
                        LineMaker.lines(roster, hardWired)
                                .forEach(each -> all.add(each.line().text())));
        return all.stream().sorted(BYTES).distinct().collect(Collectors.joining("\n", "", "\n"));
    }

    /**
     * Reads the text of one.
     *
     * @param file the name of its file, for messages
     * @throws IllegalArgumentException if a line is none of an accepted roster: which, and what to
     *     do
     */
    public static AcceptedRoster parse(String text, String file) {
        RequiredArgument.of(text, "text");
        RequiredArgument.of(file, "file");
        Map<Integer, AcceptedLine> lines = new TreeMap<>();
        int number = 0;
        for (String line : text.split("\r?\n")) {
            number++;
            if (line.isBlank() || line.startsWith("#")) {
                continue;
            }
            List<String> parts = BarredRow.parts(line);
            if (parts.size() != PARTS) {
                throw new IllegalArgumentException(
                        file
                                + ":"
                                + number
                                + " is no line of an accepted roster; write it anew with:"
                                + " patient-harbor accept --out "
                                + file);
            }
            lines.put(
                    number,
                    new AcceptedLine(
                            parts.get(0), parts.get(1), parts.get(2), parts.get(3), parts.get(4)));
        }
        return new AcceptedRoster(file, lines);
    }

    /**
     * Returns what some rosters tell otherwise, or tell and this does not.
     *
     * @param rosters those of all profiles, or of some: lines of others are not looked at
     * @param hardWired what consumers make or fetch by themselves, by binary name
     */
    public List<RosterChange> changes(
            Collection<Roster> rosters, Map<String, List<HardWiring>> hardWired) {
        RequiredArgument.of(rosters, "rosters");
        RequiredArgument.of(hardWired, "hardWired");
        return new ChangeFinder(this).changes(rosters, hardWired);
    }

    /**
     * Returns the first line of each profile that is not among some, by its number.
     *
     * @param profiles the names of profiles
     */
    public Map<Integer, AcceptedLine> ofOtherProfiles(Collection<String> profiles) {
        RequiredArgument.of(profiles, "profiles");
        Set<String> known = new HashSet<>();
        profiles.forEach(profile -> known.add(BarredRow.safe(profile)));
        Map<Integer, AcceptedLine> others = new TreeMap<>();
        lines.forEach(
                (number, line) -> {
                    if (known.add(line.profile())) {
                        others.put(number, line);
                    }
                });
        return others;
    }

    /** Returns the lines. */
    @Override
    public String toString() {
        return lines.values().stream()
                .map(AcceptedLine::text)
                .collect(Collectors.joining("\n", file + "\n", "\n"));
    }
}
