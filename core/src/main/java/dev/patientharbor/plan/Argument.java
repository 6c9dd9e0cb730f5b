package dev.patientharbor.plan;

import dev.patientharbor.model.Given;
import java.util.function.Function;

/** What a parameter or a field is given. */
public sealed interface Argument {

    /** The answer of the one function that is for its kind. */
    <T> T match(
            Function<FromPart, T> fromPart,
            Function<OfValue, T> ofValue,
            Function<Passed, T> passed,
            Function<Wrapped, T> wrapped);

    /** The name of the parameter or field; blank for what a decorator wraps. */
    String name();

    /** Another part. */
    record FromPart(int part, String name) implements Argument {
        @Override
        public <T> T match(
                Function<FromPart, T> fromPart,
                Function<OfValue, T> ofValue,
                Function<Passed, T> passed,
                Function<Wrapped, T> wrapped) {
            return fromPart.apply(this);
        }
    }

    /** A value, converted to the type of the parameter. */
    record OfValue(String name, Given given) implements Argument {
        @Override
        public <T> T match(
                Function<FromPart, T> fromPart,
                Function<OfValue, T> ofValue,
                Function<Passed, T> passed,
                Function<Wrapped, T> wrapped) {
            return ofValue.apply(this);
        }
    }

    /** An object that was passed for one making; may be null. */
    record Passed(String name, Object object) implements Argument {
        @Override
        public <T> T match(
                Function<FromPart, T> fromPart,
                Function<OfValue, T> ofValue,
                Function<Passed, T> passed,
                Function<Wrapped, T> wrapped) {
            return passed.apply(this);
        }
    }

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

        @Override
        public <T> T match(
                Function<FromPart, T> fromPart,
                Function<OfValue, T> ofValue,
                Function<Passed, T> passed,
                Function<Wrapped, T> wrapped) {
            return wrapped.apply(this);
        }
    }
}
