package dev.patientharbor.model;

import java.util.List;

/**
 * What a profile says at one level: for itself as a whole, for an area, or for one consumer.
 *
 * @param bindings what it binds, in order
 * @param decorations what it says about decorators, in order
 * @param reaches how far needs may look, in order
 */
public record LevelStatements(
        List<Binding> bindings, List<DecoratorStatement> decorations, List<Reach> reaches) {
    public LevelStatements {
        bindings = List.copyOf(bindings);
        decorations = List.copyOf(decorations);
        reaches = List.copyOf(reaches);
    }
}
