package dev.patientharbor.comparing;

import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A need that is answered in two ways. Immutable.
 *
 * @param before the row of the first roster; empty if it has none
 * @param after the row of the second roster; empty if it has none
 * @param kinds what differs, in the order of the kinds; one at least
 * @param entries the entry consumers that feel it, by name, sorted: those that hold what changed,
 *     or something that leads to it
 */
public record RowChange(
        Optional<RosterRow> before,
        Optional<RosterRow> after,
        Set<ChangeKind> kinds,
        List<String> entries) {

    public RowChange {
        RequiredArgument.of(before, "before");
        RequiredArgument.of(after, "after");
        RequiredArgument.of(kinds, "kinds");
        RequiredArgument.of(entries, "entries");
        kinds = Collections.unmodifiableSet(EnumSet.copyOf(kinds));
        entries = List.copyOf(entries);
    }

    /** Returns the row of the first roster that has one. */
    public RosterRow row() {
        return before.or(() -> after).orElseThrow();
    }

    /** Returns the first kind, by which changes are grouped. */
    public ChangeKind kind() {
        return kinds.iterator().next();
    }

    /** Returns the change as people read it: {@code FeeBooth (terminal): mock, then real X}. */
    @Override
    public String toString() {
        return before.map(RosterRow::toString).orElse("nothing")
                + " | "
                + after.map(RosterRow::toString).orElse("nothing");
    }
}
