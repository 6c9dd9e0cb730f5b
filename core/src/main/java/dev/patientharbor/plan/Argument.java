package dev.patientharbor.plan;

import dev.patientharbor.model.Given;

/** What a parameter or a field is given. */
public sealed interface Argument {

    /**
     * Another part.
     *
     * @param need the name of the parameter or field
     */
    record FromPart(int part, String need) implements Argument {}

    /** A value, converted to the type of the parameter. */
    record OfValue(Given given) implements Argument {}

    /**
     * What a decorator wraps.
     *
     * @param carrier the interface that hands it out when it is asked, by binary name; blank where
     *     the decorator takes it as it is
     */
    record Wrapped(String carrier) implements Argument {}
}
