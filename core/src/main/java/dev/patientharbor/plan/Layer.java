package dev.patientharbor.plan;

import dev.patientharbor.model.BuiltIn;
import java.util.function.Function;

/** A decorator around an object. */
public sealed interface Layer {

    /** The answer of the one function that is for its kind. */
    <T> T match(Function<OfClass, T> ofClass, Function<OfOurs, T> ofOurs);

    /**
     * An object of a class, which takes what it wraps by one of its parameters, fields or setters.
     */
    record OfClass(Making.Constructed making) implements Layer {
        @Override
        public <T> T match(Function<OfClass, T> ofClass, Function<OfOurs, T> ofOurs) {
            return ofClass.apply(this);
        }
    }

    /** One that is built in. */
    record OfOurs(BuiltIn builtIn) implements Layer {
        @Override
        public <T> T match(Function<OfClass, T> ofClass, Function<OfOurs, T> ofOurs) {
            return ofOurs.apply(this);
        }
    }
}
