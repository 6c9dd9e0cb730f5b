package dev.patientharbor.bodies;

import java.util.function.Function;

/** How a body gets hold of an object that nobody handed to it. Class names are binary names. */
public sealed interface ObjectSource {

    /** Answers by what it is. */
    <T> T match(
            Function<New, T> made,
            Function<StaticMethod, T> staticMethod,
            Function<StaticField, T> staticField,
            Function<Service, T> service,
            Function<ClassByName, T> classByName);

    /** Returns whether the body names the class of the object itself. */
    default boolean isMade() {
        return match(n -> true, m -> false, f -> false, s -> false, c -> true);
    }

    /** Returns the class that is made, or what the source is declared to yield. */
    String type();

    /**
     * By {@code new}.
     *
     * @param constructor the one that is called
     */
    record New(String type, MethodName constructor) implements ObjectSource {
        @Override
        public <T> T match(
                Function<New, T> made,
                Function<StaticMethod, T> staticMethod,
                Function<StaticField, T> staticField,
                Function<Service, T> service,
                Function<ClassByName, T> classByName) {
            return made.apply(this);
        }
    }

    /** From a static method of another class. */
    record StaticMethod(MethodName method, String type) implements ObjectSource {
        @Override
        public <T> T match(
                Function<New, T> made,
                Function<StaticMethod, T> staticMethod,
                Function<StaticField, T> staticField,
                Function<Service, T> service,
                Function<ClassByName, T> classByName) {
            return staticMethod.apply(this);
        }
    }

    /** From a static field of another class. */
    record StaticField(String owner, String field, String type) implements ObjectSource {
        @Override
        public <T> T match(
                Function<New, T> made,
                Function<StaticMethod, T> staticMethod,
                Function<StaticField, T> staticField,
                Function<Service, T> service,
                Function<ClassByName, T> classByName) {
            return staticField.apply(this);
        }
    }

    /** From the services that are listed for a contract. */
    record Service(String type) implements ObjectSource {
        @Override
        public <T> T match(
                Function<New, T> made,
                Function<StaticMethod, T> staticMethod,
                Function<StaticField, T> staticField,
                Function<Service, T> service,
                Function<ClassByName, T> classByName) {
            return service.apply(this);
        }
    }

    /** By the name of a class that is written in the body. */
    record ClassByName(String type) implements ObjectSource {
        @Override
        public <T> T match(
                Function<New, T> made,
                Function<StaticMethod, T> staticMethod,
                Function<StaticField, T> staticField,
                Function<Service, T> service,
                Function<ClassByName, T> classByName) {
            return classByName.apply(this);
        }
    }
}
