package dev.patientharbor.model;

import dev.patientharbor.finding.Where;
import java.util.List;

/**
 * A named set of bindings for one environment.
 *
 * @param name its name, as written
 * @param partial whether it is only there to be extended: never checked for completeness by itself
 * @param parents what it extends, in order
 * @param bindings what it binds, in order
 * @param decorations what it says about decorators, in order
 * @param at where it stands
 */
public record Profile(
        String name,
        boolean partial,
        List<Written> parents,
        List<Binding> bindings,
        List<Decoration> decorations,
        Where at) {
    public Profile {
        parents = List.copyOf(parents);
        bindings = List.copyOf(bindings);
        decorations = List.copyOf(decorations);
    }
}
