package dev.patientharbor.plan;

import java.util.List;

/**
 * Who receives what in one profile.
 *
 * @param profile the name of the profile
 * @param rows one for each need that is reached from the entry consumers, in the order of {@link
 *     Row#ORDER}
 */
public record Plan(String profile, List<Row> rows) {
    public Plan {
        rows = List.copyOf(rows);
    }

    /** A short text that is equal for equal decisions, wherever they were made. */
    public String fingerprint() {
        return Fingerprint.of(rows);
    }
}
