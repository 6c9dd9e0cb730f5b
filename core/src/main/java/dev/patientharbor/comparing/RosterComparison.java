package dev.patientharbor.comparing;

import dev.patientharbor.plan.Roster;
import dev.patientharbor.texts.RequiredArgument;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What differs between two rosters: two profiles, or one before and after a change. Immutable.
 *
 * <pre>{@code
 * ProfileSet port = ProfileFiles.read(Path.of("../examples/port.harbor.yaml"));
 * RosterComparison frost = RosterComparison.of(port.roster("dock-test"), port.roster("winter"));
 * assertEquals(25, frost.same());
 * }</pre>
 *
 * <p>There is no change exactly where the fingerprints are equal.
 *
 * @param before the name of the first profile
 * @param after the name of the second profile
 * @param changes in the order of their kinds, then of the roster
 * @param same how many needs are answered alike
 * @param isEagerChanged whether only one of the two makes everything at the start
 */
public record RosterComparison(
        String before, String after, List<RowChange> changes, int same, boolean isEagerChanged) {

    public RosterComparison {
        RequiredArgument.of(before, "before");
        RequiredArgument.of(after, "after");
        RequiredArgument.of(changes, "changes");
        changes = List.copyOf(changes);
    }

    /** Compares two rosters. */
    public static RosterComparison of(Roster before, Roster after) {
        RequiredArgument.of(before, "before");
        RequiredArgument.of(after, "after");
        return new RosterComparer(before, after).compare();
    }

    /** Returns whether both decide the same. */
    public boolean isSame() {
        return changes.isEmpty() && !isEagerChanged;
    }

    /** Returns the entry consumers that feel any change, by name, sorted. */
    public List<String> entries() {
        TreeSet<String> all = new TreeSet<>();
        changes.forEach(change -> all.addAll(change.entries()));
        return List.copyOf(all);
    }

    /** Returns this comparison with other names for the two sides. */
    public RosterComparison named(String first, String second) {
        return new RosterComparison(first, second, changes, same, isEagerChanged);
    }

    /** Returns this comparison with the changes of some kinds alone; others count as the same. */
    public RosterComparison only(ChangeKind... kinds) {
        RequiredArgument.each(kinds, "kinds");
        List<ChangeKind> wanted = List.of(kinds);
        List<RowChange> left =
                changes.stream()
                        .filter(change -> change.kinds().stream().anyMatch(wanted::contains))
                        .toList();
        return new RosterComparison(
                before, after, left, same + changes.size() - left.size(), isEagerChanged);
    }

    /** Returns a line for each change, as a failed assertion shows it. */
    @Override
    public String toString() {
        return before
                + " | "
                + after
                + changes.stream().map(change -> "\n  " + change).collect(Collectors.joining());
    }
}
