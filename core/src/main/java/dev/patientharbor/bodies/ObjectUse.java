package dev.patientharbor.bodies;

import java.util.Optional;

/** What becomes of an object in a body, as far as it tells who uses it. */
public sealed interface ObjectUse {

    /** Returns where it goes on to, within the nest. */
    default Optional<ObjectOrigin> next() {
        return Optional.empty();
    }

    /** Returns the method that is called on it. */
    default Optional<MethodName> called() {
        return Optional.empty();
    }

    /** Returns the constructor of another class that it is handed to. */
    default Optional<MethodName> handedTo() {
        return Optional.empty();
    }

    /** Returns what it is taken for, by a cast or a question. */
    default Optional<TakenFor> taken() {
        return Optional.empty();
    }

    /** Returns whether something is put into it, an array. */
    default boolean isFilled() {
        return false;
    }

    /** Returns whether it is handed to the superclass. */
    default boolean isHandedToSuper() {
        return false;
    }

    /** It goes on to another place of the nest, from which its further uses can be told. */
    record GoesTo(ObjectOrigin place) implements ObjectUse {
        @Override
        public Optional<ObjectOrigin> next() {
            return Optional.of(place);
        }
    }

    /** Something is put into it: it is an array. */
    record Filled() implements ObjectUse {
        @Override
        public boolean isFilled() {
            return true;
        }
    }

    /** A method of it is called. */
    record Called(MethodName method) implements ObjectUse {
        @Override
        public Optional<MethodName> called() {
            return Optional.of(method);
        }
    }

    /**
     * It is cast to a class, or asked whether it is one.
     *
     * @param className the binary name of the class
     * @param in the method
     * @param line in the source; 0 if the class file does not say
     */
    record TakenFor(String className, MethodName in, int line) implements ObjectUse {
        @Override
        public Optional<TakenFor> taken() {
            return Optional.of(this);
        }
    }

    /** It is handed to the constructor of another class. */
    record HandedTo(MethodName constructor) implements ObjectUse {
        @Override
        public Optional<MethodName> handedTo() {
            return Optional.of(constructor);
        }
    }

    /** It is handed to the constructor of the superclass. */
    record HandedToSuper(MethodName constructor) implements ObjectUse {
        @Override
        public boolean isHandedToSuper() {
            return true;
        }
    }
}
