package dev.patientharbor.comparing;

import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The rows of one need in two rosters; one of the two may not have it. */
final class RowPair {

    private final Optional<RosterRow> before;
    private final Optional<RosterRow> after;

    private RowPair(Optional<RosterRow> before, Optional<RosterRow> after) {
        this.before = before;
        this.after = after;
    }

    /**
     * Returns all rows of two rosters, in order. One need may have several answers, if who asks
     * stands in several ways in one slot: the first goes with the first, and so on.
     */
    static List<RowPair> pairs(Roster before, Roster after) {
        List<RosterRow> first = sorted(before);
        List<RosterRow> second = sorted(after);
        List<RowPair> pairs = new ArrayList<>(Math.max(first.size(), second.size()));
        int i = 0;
        int j = 0;
        while (i < first.size() || j < second.size()) {
            int order =
                    i == first.size()
                            ? 1
                            : j == second.size()
                                    ? -1
                                    : RosterRow.ORDER.compare(first.get(i), second.get(j));
            pairs.add(
                    new RowPair(
                            order <= 0 ? Optional.of(first.get(i++)) : Optional.empty(),
                            order >= 0 ? Optional.of(second.get(j++)) : Optional.empty()));
        }
        return pairs;
    }

    /** The rows of a roster in order; somebody may have moved those of a saved one. */
    private static List<RosterRow> sorted(Roster roster) {
        List<RosterRow> rows = new ArrayList<>(roster.rows());
        rows.sort(RosterRow.ORDER);
        return rows;
    }

    Optional<RosterRow> before() {
        return before;
    }

    Optional<RosterRow> after() {
        return after;
    }

    boolean isOfBoth() {
        return before.isPresent() && after.isPresent();
    }
}
