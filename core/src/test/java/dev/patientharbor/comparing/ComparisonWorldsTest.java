package dev.patientharbor.comparing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.resolve.RandomSets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Comparing on random worlds: empty for equal decisions alone, mirrored, and enough to make B of A.
 */
class ComparisonWorldsTest {

    private static final int WORLDS = 150;

    private static List<Roster> rosters(long seed) {
        Verdict verdict = RandomSets.check(seed, seed % 3 == 0);
        return verdict.profiles().stream()
                .filter(profile -> !profile.isPartial())
                .map(profile -> verdict.roster(profile.name()))
                .toList();
    }

    private static Set<ChangeKind> mirrored(Set<ChangeKind> kinds) {
        Set<ChangeKind> mirrored = EnumSet.copyOf(kinds);
        if (kinds.contains(ChangeKind.ONLY_BEFORE) != kinds.contains(ChangeKind.ONLY_AFTER)) {
            boolean wasBefore = mirrored.remove(ChangeKind.ONLY_BEFORE);
            mirrored.remove(ChangeKind.ONLY_AFTER);
            mirrored.add(wasBefore ? ChangeKind.ONLY_AFTER : ChangeKind.ONLY_BEFORE);
        }
        return mirrored;
    }

    @Test
    void there_is_a_change_exactly_where_fingerprints_differ() {
        int same = 0;
        int differing = 0;
        for (int seed = 0; seed < WORLDS; seed++) {
            List<Roster> all = rosters(seed);
            for (Roster first : all) {
                for (Roster second : all) {
                    RosterComparison comparison = RosterComparison.of(first, second);
                    boolean isEqual = first.fingerprint().equals(second.fingerprint());
                    assertEquals(isEqual, comparison.isSame(), seed + ": " + comparison);
                    same += isEqual && first != second ? 1 : 0;
                    differing += isEqual ? 0 : 1;
                }
            }
        }
        assertTrue(same > 10 && differing > 100, same + " and " + differing);
    }

    @Test
    void swapped_it_is_mirrored_and_applied_to_the_first_it_gives_the_second() {
        for (int seed = 0; seed < WORLDS; seed++) {
            List<Roster> all = rosters(seed);
            for (int i = 1; i < all.size(); i++) {
                Roster first = all.get(i - 1);
                Roster second = all.get(i);
                RosterComparison there = RosterComparison.of(first, second);
                RosterComparison back = RosterComparison.of(second, first);
                assertEquals(texts(there, false), texts(back, true));
                assertEquals(there.entries(), back.entries());
                List<RosterRow> applied = new ArrayList<>(first.rows());
                there.changes().forEach(change -> change.before().ifPresent(applied::remove));
                there.changes().forEach(change -> change.after().ifPresent(applied::add));
                applied.sort(RosterRow.ORDER);
                assertEquals(decided(second.rows()), decided(applied), "seed " + seed);
                assertEquals(
                        second.rows().size(),
                        there.same()
                                + (int)
                                        there.changes().stream()
                                                .filter(change -> change.after().isPresent())
                                                .count());
            }
        }
    }

    @Test
    void rows_that_somebody_moved_in_a_saved_roster_change_nothing() {
        Random random = new Random(18);
        for (int seed = 0; seed < WORLDS; seed++) {
            List<Roster> all = rosters(seed);
            for (int i = 1; i < all.size(); i++) {
                List<RosterRow> moved = new ArrayList<>(all.get(i).rows());
                Collections.shuffle(moved, random);
                // Of answers to the same need the first one stays before the second.
                List<RosterRow> again = new ArrayList<>(all.get(i).rows());
                moved.replaceAll(
                        row ->
                                again.remove(
                                        IntStream.range(0, again.size())
                                                .filter(at -> isOfSameNeed(again.get(at), row))
                                                .findFirst()
                                                .orElseThrow()));
                Roster saved =
                        new Roster(
                                all.get(i).profile(),
                                moved,
                                all.get(i).passed(),
                                all.get(i).eager());
                assertEquals(
                        RosterComparison.of(all.get(i - 1), all.get(i)),
                        RosterComparison.of(all.get(i - 1), saved),
                        "seed " + seed);
            }
        }
    }

    private static boolean isOfSameNeed(RosterRow one, RosterRow other) {
        return RosterRow.ORDER.compare(one, other) == 0;
    }

    private static List<String> texts(RosterComparison comparison, boolean isSwapped) {
        return comparison.changes().stream()
                .map(
                        change -> {
                            Optional<RosterRow> first =
                                    isSwapped ? change.after() : change.before();
                            Optional<RosterRow> second =
                                    isSwapped ? change.before() : change.after();
                            return first
                                    + " "
                                    + second
                                    + ' '
                                    + (isSwapped ? mirrored(change.kinds()) : change.kinds());
                        })
                .sorted()
                .toList();
    }

    /** What rows say, but for the labels of instances and places in files. */
    private static List<String> decided(List<RosterRow> rows) {
        return rows.stream().flatMap(row -> Stream.of(row.toString())).toList();
    }

    @Test
    void who_feels_a_change_is_an_entry_consumer_of_one_of_the_two() {
        for (int seed = 0; seed < WORLDS; seed++) {
            List<Roster> all = rosters(seed);
            for (int i = 1; i < all.size(); i++) {
                Set<String> entries = new java.util.TreeSet<>();
                for (Roster each : List.of(all.get(i - 1), all.get(i))) {
                    each.rows().stream()
                            .filter(
                                    row ->
                                            row.as().isEmpty()
                                                    || row.as()
                                                            .get()
                                                            .contract()
                                                            .text()
                                                            .equals(row.consumer()))
                            .map(RosterRow::consumer)
                            .forEach(entries::add);
                }
                RosterComparison comparison = RosterComparison.of(all.get(i - 1), all.get(i));
                for (RowChange change : comparison.changes()) {
                    assertTrue(entries.containsAll(change.entries()), seed + ": " + change);
                    assertTrue(!change.entries().isEmpty(), "nobody feels " + change);
                }
            }
        }
    }
}
