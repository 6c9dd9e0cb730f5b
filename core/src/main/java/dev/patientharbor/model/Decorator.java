package dev.patientharbor.model;

import dev.patientharbor.terms.WrittenName;
import java.util.List;
import java.util.Optional;

/**
 * A decorator in a list: a class, or one that is built in.
 *
 * @param name the class, or the word of the built-in one
 * @param builtIn what is built in, if it is
 * @param with values for the constructor of the class
 * @param constructor the parameter types of the constructor to use, if that is said
 */
public record Decorator(
        WrittenName name,
        Optional<BuiltIn> builtIn,
        GivenArguments with,
        Optional<List<String>> constructor) {
    public Decorator {
        constructor = constructor.map(List::copyOf);
    }

    /** Makes a decorator of a class. */
    public static Decorator ofClass(WrittenName name) {
        return new Decorator(name, Optional.empty(), GivenArguments.NOTHING, Optional.empty());
    }

    /** Makes a decorator that is built in. */
    public static Decorator builtIn(WrittenName name, BuiltIn builtIn) {
        return new Decorator(name, Optional.of(builtIn), GivenArguments.NOTHING, Optional.empty());
    }
}
