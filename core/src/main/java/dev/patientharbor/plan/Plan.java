package dev.patientharbor.plan;

import java.util.List;

/**
 * Who receives what in one profile.
 *
 * @param profile the name of the profile
 * @param rows one for each need that is reached from the entry consumers, in the order of {@link
 *     Row#ORDER}
 * @param passed the parameters of handlers that their callers pass
 * @param eager whether everything is made at the start, rather than when it is first needed
 */
public record Plan(String profile, List<Row> rows, List<Passed> passed, boolean eager) {
    public Plan {
        rows = List.copyOf(rows);
        passed = List.copyOf(passed);
    }

    /** A short text that is equal for equal decisions, wherever they were made. */
    public String fingerprint() {
        return Fingerprint.of(rows, eager);
    }

    /** The same, to be asked consumer by consumer. */
    public Roster roster() {
        return new Roster(this);
    }
}
