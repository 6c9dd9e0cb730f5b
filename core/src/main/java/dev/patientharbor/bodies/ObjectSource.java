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
            Function<ClassByName, T> classByName,
            Function<Lambda, T> lambda);

    /** Returns whether the body names the class of the object itself. */
    default boolean isMade() {
        return match(n -> true, m -> false, f -> false, s -> false, c -> true, l -> true);
    }

    /** Returns whether the body writes it as a lambda or a method reference. */
    default boolean isLambda() {
        return match(n -> false, m -> false, f -> false, s -> false, c -> false, l -> true);
    }

    /** Returns the class or interface that is made, or what the source is declared to yield. */
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
                Function<ClassByName, T> classByName,
                Function<Lambda, T> lambda) {
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
                Function<ClassByName, T> classByName,
                Function<Lambda, T> lambda) {
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
                Function<ClassByName, T> classByName,
                Function<Lambda, T> lambda) {
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
                Function<ClassByName, T> classByName,
                Function<Lambda, T> lambda) {
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
                Function<ClassByName, T> classByName,
                Function<Lambda, T> lambda) {
            return classByName.apply(this);
        }
    }

    /**
     * By a lambda or a method reference.
     *
     * @param type the interface that it implements
     * @param body what it runs
     */
    record Lambda(String type, MethodName body) implements ObjectSource {
        @Override
        public <T> T match(
                Function<New, T> made,
                Function<StaticMethod, T> staticMethod,
                Function<StaticField, T> staticField,
                Function<Service, T> service,
                Function<ClassByName, T> classByName,
                Function<Lambda, T> lambda) {
            return lambda.apply(this);
        }
    }
}
