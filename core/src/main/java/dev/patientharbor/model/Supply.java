package dev.patientharbor.model;

import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/** What fills a slot. */
public sealed interface Supply {

    /** Decides by kind of supply. */
    <T> T match(Function<OfClass, T> ofClass, Supplier<T> mock, Function<SameAs, T> sameAs);

    /** The class, where the supply is one. */
    default Optional<Written> className() {
        return match(of -> Optional.of(of.name()), Optional::empty, alias -> Optional.empty());
    }

    /**
     * What it supplies as people read it: the class as written, {@code mock}, {@code same as …}.
     */
    default String words() {
        return match(
                of -> of.name().text(), () -> "mock", alias -> "same as " + alias.target().text());
    }

    /**
     * An object of a class.
     *
     * @param kind what the class is for its contract
     * @param name the class
     */
    record OfClass(ImplementationKind kind, Written name) implements Supply {
        public OfClass {
            if (kind == ImplementationKind.MOCK) {
                throw new IllegalArgumentException(
                        "a mock has no class of its own: " + name.text());
            }
        }

        @Override
        public <T> T match(
                Function<OfClass, T> ofClass, Supplier<T> mock, Function<SameAs, T> sameAs) {
            return ofClass.apply(this);
        }
    }

    /** A mock, made from the contract alone. */
    record Mock() implements Supply {
        @Override
        public <T> T match(
                Function<OfClass, T> ofClass, Supplier<T> mock, Function<SameAs, T> sameAs) {
            return mock.get();
        }
    }

    /** Whatever fills another slot: the same instance, not a second one. */
    record SameAs(Slot target) implements Supply {
        @Override
        public <T> T match(
                Function<OfClass, T> ofClass, Supplier<T> mock, Function<SameAs, T> sameAs) {
            return sameAs.apply(this);
        }
    }
}
