package dev.patientharbor.plan;

import dev.patientharbor.model.BuiltIn;

/** A decorator around an object. */
public sealed interface Layer {

    /**
     * An object of a class, which takes what it wraps by one of its parameters, fields or setters.
     */
    record OfClass(Making.Constructed making) implements Layer {}

    /** One that is built in. */
    record OfOurs(BuiltIn builtIn) implements Layer {}
}
