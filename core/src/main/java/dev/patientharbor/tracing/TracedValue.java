package dev.patientharbor.tracing;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** What a place of a running method holds, as far as it can be told. */
public sealed interface TracedValue
        permits TracedObject,
                TracedCollection,
                TracedValue.Constant,
                TracedValue.Setting,
                TracedValue.Nothing,
                TracedValue.Lambda,
                TracedValue.Unknown {

    /** Answers by what a value is. */
    <T> T match(Cases<T> cases);

    /**
     * One answer for each kind of value.
     *
     * @param <T> the type of the answers
     */
    interface Cases<T> {
        T object(TracedObject object);

        T collection(TracedCollection collection);

        T constant(Constant constant);

        T setting(Setting setting);

        T nothing(Nothing nothing);

        T lambda(Lambda lambda);

        T unknown(Unknown unknown);
    }

    /** Answers for some kinds of values; all others have no answer. */
    interface Some<T> extends Cases<Optional<T>> {
        @Override
        default Optional<T> object(TracedObject object) {
            return Optional.empty();
        }

        @Override
        default Optional<T> collection(TracedCollection collection) {
            return Optional.empty();
        }

        @Override
        default Optional<T> constant(Constant constant) {
            return Optional.empty();
        }

        @Override
        default Optional<T> setting(Setting setting) {
            return Optional.empty();
        }

        @Override
        default Optional<T> nothing(Nothing nothing) {
            return Optional.empty();
        }

        @Override
        default Optional<T> lambda(Lambda lambda) {
            return Optional.empty();
        }

        @Override
        default Optional<T> unknown(Unknown unknown) {
            return Optional.empty();
        }
    }

    /** Returns the object that it is, if it is one. */
    default Optional<TracedObject> object() {
        return match(
                new Some<TracedObject>() {
                    @Override
                    public Optional<TracedObject> object(TracedObject object) {
                        return Optional.of(object);
                    }
                });
    }

    /** Returns the collection that it is, if it is one. */
    default Optional<TracedCollection> collection() {
        return match(
                new Some<TracedCollection>() {
                    @Override
                    public Optional<TracedCollection> collection(TracedCollection collection) {
                        return Optional.of(collection);
                    }
                });
    }

    /** Returns the constant that it is, if it is one. */
    default Optional<Object> constant() {
        return match(
                new Some<Object>() {
                    @Override
                    public Optional<Object> constant(Constant constant) {
                        return Optional.of(constant.value());
                    }
                });
    }

    /** Returns the lambda that it is, if it is one. */
    default Optional<Lambda> lambda() {
        return match(
                new Some<Lambda>() {
                    @Override
                    public Optional<Lambda> lambda(Lambda lambda) {
                        return Optional.of(lambda);
                    }
                });
    }

    /** Returns what is not known, if that is so. */
    default Optional<Unknown> unknown() {
        return match(
                new Some<Unknown>() {
                    @Override
                    public Optional<Unknown> unknown(Unknown unknown) {
                        return Optional.of(unknown);
                    }
                });
    }

    /** Returns whether it is {@code null}. */
    default boolean isNothing() {
        return match(
                        new Some<Boolean>() {
                            @Override
                            public Optional<Boolean> nothing(Nothing nothing) {
                                return Optional.of(true);
                            }
                        })
                .isPresent();
    }

    /** Returns the text of a constant or a setting, as a profile file writes it. */
    default Optional<String> written() {
        return match(
                new Some<String>() {
                    @Override
                    public Optional<String> constant(Constant constant) {
                        return Optional.of(constant.value().toString().replace("$", "$$"));
                    }

                    @Override
                    public Optional<String> setting(Setting setting) {
                        return Optional.of(setting.template());
                    }
                });
    }

    /**
     * A value that stands in the code.
     *
     * @param value a number, a text, an {@link EnumConstant} or a {@link ClassConstant}
     */
    record Constant(Object value) implements TracedValue {
        @Override
        public <T> T match(Cases<T> cases) {
            return cases.constant(this);
        }
    }

    /** A constant of an enum, by the binary name of its class. */
    record EnumConstant(String owner, String name) {
        @Override
        public String toString() {
            return name;
        }
    }

    /** A class as a value, by its binary name. */
    record ClassConstant(String name) {
        @Override
        public String toString() {
            return name;
        }
    }

    /**
     * A text with settings in it.
     *
     * @param template as a profile file writes it: {@code ${NAME:-default}}
     */
    record Setting(String template) implements TracedValue {
        @Override
        public <T> T match(Cases<T> cases) {
            return cases.setting(this);
        }
    }

    /** {@code null}. */
    record Nothing() implements TracedValue {
        @Override
        public <T> T match(Cases<T> cases) {
            return cases.nothing(this);
        }
    }

    /**
     * A lambda or a method reference.
     *
     * @param type the binary name of the interface that it implements
     * @param line where it stands; 0 if that is not known
     * @param body runs it with some arguments
     * @param yielded what it yields, if it is one that hands out an object
     */
    record Lambda(
            String type,
            int line,
            java.util.function.Function<List<TracedValue>, TracedValue> body,
            Supplier<Optional<TracedValue>> yielded)
            implements TracedValue {
        @Override
        public <T> T match(Cases<T> cases) {
            return cases.lambda(this);
        }
    }

    /**
     * What cannot be told.
     *
     * @param what what it is, in words: {@code the parameter args of main}
     * @param line where it comes from; 0 if that is not known
     * @param equal what it tells to be equal, if it is the outcome of a comparison
     */
    record Unknown(String what, int line, Optional<Comparison> equal) implements TracedValue {
        @Override
        public <T> T match(Cases<T> cases) {
            return cases.unknown(this);
        }
    }

    /**
     * A comparison with a constant.
     *
     * @param what what is compared, in words
     * @param constant the constant, as text
     */
    record Comparison(String what, String constant) {}
}
