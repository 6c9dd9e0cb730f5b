package dev.patientharbor.accepting;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.texts.BarredRow;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Finds what is not as it was accepted, line by line. */
final class ChangeFinder {

    /** A line of the file, with its number. */
    private record NumberedLine(int number, AcceptedLine line) {}

    private final AcceptedRoster accepted;
    private final Map<String, Deque<NumberedLine>> left = new HashMap<>();

    private final Set<AcceptedLine> equal = new HashSet<>();

    ChangeFinder(AcceptedRoster accepted) {
        this.accepted = accepted;
        accepted.lines()
                .forEach(
                        (number, line) ->
                                left.computeIfAbsent(line.key(), key -> new ArrayDeque<>())
                                        .add(new NumberedLine(number, line)));
    }

    List<RosterChange> changes(
            Collection<Roster> rosters, Map<String, List<HardWiring>> hardWired) {
        List<RosterChange> changes = new ArrayList<>();
        Map<String, String> profiles = new HashMap<>();
        for (Roster roster : rosters) {
            List<LineMaker.PlacedLine> changed = new ArrayList<>();
            for (LineMaker.PlacedLine each : LineMaker.lines(roster, hardWired)) {
                if (!takeEqual(each.line())) {
                    changed.add(each);
                }
            }
            profiles.put(BarredRow.safe(roster.profile()), roster.profile());
            changed.forEach(each -> changes.add(change(roster.profile(), each)));
        }
        for (Deque<NumberedLine> lines : left.values()) {
            for (NumberedLine each : lines) {
                String profile = profiles.get(each.line().profile());
                if (profile != null) {
                    changes.add(
                            new RosterChange(
                                    profile, Optional.of(each.line()), Optional.empty(), at(each)));
                }
            }
        }
        changes.sort(Comparator.comparing(change -> change.line().text(), AcceptedRoster.BYTES));
        return changes;
    }

    private boolean takeEqual(AcceptedLine line) {
        Deque<NumberedLine> same = left.getOrDefault(line.key(), new ArrayDeque<>());
        // Two rows that read alike are one line.
        return same.removeIf(each -> each.line().equals(line)) && equal.add(line)
                || equal.contains(line);
    }

    private RosterChange change(String profile, LineMaker.PlacedLine now) {
        Optional<NumberedLine> before =
                Optional.ofNullable(left.get(now.line().key())).map(Deque::poll);
        SourcePosition at =
                now.at()
                        .orElseGet(
                                () ->
                                        before.map(this::at)
                                                .orElse(SourcePosition.startOf(accepted.file())));
        return new RosterChange(
                profile, before.map(NumberedLine::line), Optional.of(now.line()), at);
    }

    private SourcePosition at(NumberedLine line) {
        return new SourcePosition.InFile(accepted.file(), line.number(), 1);
    }
}
