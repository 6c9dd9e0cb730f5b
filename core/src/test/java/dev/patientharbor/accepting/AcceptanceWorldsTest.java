package dev.patientharbor.accepting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.ChangeKind;
import dev.patientharbor.comparing.RosterComparison;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.resolve.RandomSets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** Accepted rosters of random worlds: lines change exactly where rows of the roster do. */
class AcceptanceWorldsTest {

    private static final int WORLDS = 150;

    private static String key(RosterRow row) {
        return row.consumer()
                + ' '
                + row.need()
                + row.as().map(slot -> " in " + slot.text()).orElse("")
                + row.within().map(level -> " within " + level).orElse("")
                + ' '
                + row.place().code();
    }

    private static String key(AcceptedLine line) {
        return line.consumer()
                + ' '
                + line.need().replaceAll("(\\[\\d.*])+$", "").replaceAll(" \\((.*)\\)$", " $1");
    }

    private static String whole(Optional<AcceptedLine> line) {
        return line.map(each -> each.answer().replaceAll(", the one of .*", "")).orElse("");
    }

    @Test
    void a_line_changes_exactly_where_a_row_does() {
        int changed = 0;
        int same = 0;
        for (int seed = 0; seed < WORLDS; seed++) {
            Verdict verdict = RandomSets.check(seed, seed % 3 == 0);
            List<Roster> all = List.copyOf(verdict.rosters().values());
            for (Roster first : all) {
                for (Roster other : all) {
                    Roster second =
                            new Roster(
                                    first.profile(), other.rows(), other.passed(), other.eager());
                    AcceptedRoster accepted =
                            AcceptedRoster.parse(
                                    AcceptedRoster.text(List.of(first), Map.of()), "a.txt");
                    Set<String> lines = new TreeSet<>();
                    Set<String> told = new TreeSet<>();
                    for (RosterChange each : accepted.changes(List.of(second), Map.of())) {
                        lines.add(key(each.line()));
                        if (whole(each.accepted()).equals(whole(each.now()))) {
                            told.add(key(each.line())); // which of several that read alike
                        }
                    }
                    Set<String> rows = new TreeSet<>();
                    Set<String> sharing = new TreeSet<>();
                    RosterComparison.of(first, second)
                            .changes()
                            .forEach(
                                    change ->
                                            (change.kinds().equals(Set.of(ChangeKind.SHARING))
                                                            ? sharing
                                                            : rows)
                                                    .add(key(change.row())));
                    String pair = seed + " " + first.profile() + " " + other.profile();
                    assertTrue(lines.containsAll(rows), () -> pair + rows + lines);
                    rows.addAll(sharing);
                    assertEquals(rows.isEmpty(), lines.isEmpty(), pair);
                    rows.addAll(told);
                    assertTrue(rows.containsAll(lines), () -> pair + rows + lines);
                    same += lines.isEmpty() ? 1 : 0;
                    changed += lines.size();
                }
            }
        }
        assertTrue(same > 100 && changed > 500, same + " equal, " + changed + " lines");
    }

    @Test
    void files_of_several_builds_are_joined_by_sorting() {
        for (int seed = 0; seed < 40; seed++) {
            List<Roster> all = List.copyOf(RandomSets.check(seed, false).rosters().values());
            List<String> joined = new ArrayList<>();
            all.forEach(
                    each ->
                            joined.addAll(
                                    AcceptedRoster.text(List.of(each), Map.of()).lines().toList()));
            assertEquals(
                    AcceptedRoster.text(all, Map.of()),
                    String.join(
                                    "\n",
                                    joined.stream()
                                            .sorted(AcceptedRoster.BYTES)
                                            .distinct()
                                            .toList())
                            + "\n");
            AcceptedRoster whole =
                    AcceptedRoster.parse(AcceptedRoster.text(all, Map.of()), "a.txt");
            assertEquals(List.of(), whole.changes(all, Map.of()));
            all.forEach(each -> assertEquals(List.of(), whole.changes(List.of(each), Map.of())));
        }
    }
}
