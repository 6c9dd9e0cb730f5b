package dev.patientharbor.survey;

import dev.patientharbor.texts.RequiredArgument;

/**
 * A method that makes objects and hands them to constructors: a main, a factory, a composition
 * root. Immutable.
 *
 * @param at the method, by the line of the first object that it makes
 * @param made how many objects it makes
 * @param handOvers how many of these it hands to constructors of the code
 */
public record HandWiring(CodeLocation at, int made, int handOvers) {

    public HandWiring {
        RequiredArgument.of(at, "at");
    }
}
