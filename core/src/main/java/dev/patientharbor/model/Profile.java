package dev.patientharbor.model;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.WrittenName;
import java.util.List;

/**
 * A named set of bindings for one environment.
 *
 * @param name its name, as written
 * @param partial whether it is only there to be extended: never checked for completeness by itself
 * @param parents what it extends, in order
 * @param terms what it says of itself
 * @param words what it binds and decorates for itself as a whole
 * @param within what it says for areas and single consumers, in order
 * @param at where it stands
 */
public record Profile(
        String name,
        boolean partial,
        List<WrittenName> parents,
        ProfileTerms terms,
        LevelStatements words,
        List<PlaceStatements> within,
        SourcePosition at) {
    public Profile {
        parents = List.copyOf(parents);
        within = List.copyOf(within);
    }

    /** Returns this profile as a partial one, which is there to be extended only. */
    public Profile asPartial() {
        return new Profile(name, true, parents, terms, words, within, at);
    }
}
