package dev.patientharbor.plan;

import dev.patientharbor.model.Given;

/** What a parameter or a field is given. */
public sealed interface Argument {

    /** The name of the parameter or field; blank for what a decorator wraps. */
    String name();

    /** Another part. */
    record FromPart(int part, String name) implements Argument {}

    /** A value, converted to the type of the parameter. */
    record OfValue(String name, Given given) implements Argument {}

    /** An object that was passed for one making; may be null. */
    record Passed(String name, Object object) implements Argument {}

    /**
     * What a decorator wraps.
     *
     * @param carrier the interface that hands it out when it is asked, by binary name; blank where
     *     the decorator takes it as it is
     */
    record Wrapped(String carrier) implements Argument {
        @Override
        public String name() {
            return "";
        }
    }
}
