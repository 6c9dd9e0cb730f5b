package dev.patientharbor.model;

import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.WrittenName;
import java.util.List;
import java.util.Optional;

/**
 * What a profile says of itself as a whole, beside its words.
 *
 * @param code the compiled code that it sees beside the set's, as written; empty if it says nothing
 * @param lifetime what holds in it where neither a binding nor a mark says otherwise
 * @param eager whether everything is made at the start, rather than when it is first needed
 * @param demands the rules that hold in it and in all that extend it
 * @param loosenings the rules of its parents that need not hold in it and in all that extend it
 * @param expectations what it expects its consumers to receive, itself alone
 */
public record ProfileTerms(
        Optional<List<WrittenName>> code,
        Optional<Lifetime> lifetime,
        Optional<Boolean> eager,
        List<Demand> demands,
        List<Loosening> loosenings,
        List<Expectation> expectations) {

    /** The terms of a profile that says nothing of itself. */
    public static final ProfileTerms NONE =
            new ProfileTerms(
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    List.of(),
                    List.of(),
                    List.of());

    public ProfileTerms {
        code = code.map(List::copyOf);
        demands = List.copyOf(demands);
        loosenings = List.copyOf(loosenings);
        expectations = List.copyOf(expectations);
    }
}
