package dev.patientharbor.plan;

import dev.patientharbor.texts.NearNames;
import dev.patientharbor.texts.RequiredArgument;
import java.util.List;

/** One consumer of a profile, and what it receives. */
public final class RosterConsumer {

    private final String profile;
    private final String consumer;
    private final List<RosterRow> rows;

    RosterConsumer(String profile, String consumer, List<RosterRow> rows) {
        this.profile = profile;
        this.consumer = consumer;
        this.rows = List.copyOf(rows);
    }

    /** Returns its binary name, or the name of what is no class. */
    public String name() {
        return consumer;
    }

    /** Returns all its needs with their answers, in order of place. */
    public List<RosterRow> rows() {
        return rows;
    }

    /** A line for each of its needs. */
    @Override
    public String toString() {
        return Roster.lines(rows);
    }

    /**
     * Returns one of its needs, with what it receives.
     *
     * @param need the name of the parameter or field
     * @throws IllegalArgumentException if there is no such need, or it is answered in several ways:
     *     then the consumer stands in several places, and {@link #rows()} tells them apart
     */
    public RosterNeed need(String need) {
        RequiredArgument.of(need, "the name of a need");
        List<RosterRow> named = rows.stream().filter(row -> row.need().equals(need)).toList();
        if (named.isEmpty()) {
            List<String> all = rows.stream().map(RosterRow::need).distinct().toList();
            List<String> near = NearNames.of(need, all);
            throw new IllegalArgumentException(
                    consumer
                            + " has no need "
                            + need
                            + " in "
                            + profile
                            + (near.isEmpty()
                                    ? "; it has " + String.join(", ", all)
                                    : "; did you mean " + String.join(", ", near) + "?"));
        }
        if (named.size() > 1) {
            throw new IllegalArgumentException(
                    consumer
                            + " has "
                            + named.size()
                            + " answers for "
                            + need
                            + " in "
                            + profile
                            + ": use rows() to tell them apart");
        }
        return new RosterNeed(named.get(0).answer());
    }
}
