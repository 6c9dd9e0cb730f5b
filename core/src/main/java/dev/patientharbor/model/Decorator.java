package dev.patientharbor.model;

import java.util.Optional;

/**
 * A decorator in a list: a class, or one that is built in.
 *
 * @param name the class, or the word of the built-in one
 * @param builtIn what is built in, if it is
 */
public record Decorator(Written name, Optional<BuiltIn> builtIn) {

    /** A class. */
    public static Decorator ofClass(Written name) {
        return new Decorator(name, Optional.empty());
    }
}
