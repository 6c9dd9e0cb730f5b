package dev.patientharbor.model;

import dev.patientharbor.finding.Severity;
import dev.patientharbor.terms.Suppression;
import java.util.List;
import java.util.Map;

/**
 * How grave findings are reported, and which are not reported at all. Neither makes a profile
 * complete.
 *
 * @param severities the severity of a kind, by its id, where it is not to be the kind's own
 * @param suppressions what is not reported, in order
 */
public record Strictness(Map<String, Severity> severities, List<Suppression> suppressions) {

    /** Every finding as its kind says. */
    public static final Strictness AS_IS = new Strictness(Map.of(), List.of());

    public Strictness {
        severities = Map.copyOf(severities);
        suppressions = List.copyOf(suppressions);
    }
}
