package dev.patientharbor.bodies;

import java.util.function.Function;

/** Where an object comes from, as one class sees it. */
public sealed interface ObjectOrigin {

    /** Answers by what it is. */
    <T> T match(
            Function<Obtained, T> obtained,
            Function<OfField, T> ofField,
            Function<OfParameter, T> ofParameter,
            Function<OfResult, T> ofResult);

    /**
     * The class makes or fetches it itself.
     *
     * @param in the method
     * @param line in the source; 0 if the class file does not say
     * @param instruction tells two on one line apart
     */
    record Obtained(ObjectSource source, MethodName in, int line, int instruction)
            implements ObjectOrigin {
        @Override
        public <T> T match(
                Function<Obtained, T> obtained,
                Function<OfField, T> ofField,
                Function<OfParameter, T> ofParameter,
                Function<OfResult, T> ofResult) {
            return obtained.apply(this);
        }
    }

    /** It is in a field of the nest. */
    record OfField(String owner, String field) implements ObjectOrigin {
        @Override
        public <T> T match(
                Function<Obtained, T> obtained,
                Function<OfField, T> ofField,
                Function<OfParameter, T> ofParameter,
                Function<OfResult, T> ofResult) {
            return ofField.apply(this);
        }
    }

    /** It is a parameter of a method of the nest, counted from 0, the object itself left out. */
    record OfParameter(MethodName method, int number) implements ObjectOrigin {
        @Override
        public <T> T match(
                Function<Obtained, T> obtained,
                Function<OfField, T> ofField,
                Function<OfParameter, T> ofParameter,
                Function<OfResult, T> ofResult) {
            return ofParameter.apply(this);
        }
    }

    /** It is what a method of the nest returns. */
    record OfResult(MethodName method) implements ObjectOrigin {
        @Override
        public <T> T match(
                Function<Obtained, T> obtained,
                Function<OfField, T> ofField,
                Function<OfParameter, T> ofParameter,
                Function<OfResult, T> ofResult) {
            return ofResult.apply(this);
        }
    }
}
