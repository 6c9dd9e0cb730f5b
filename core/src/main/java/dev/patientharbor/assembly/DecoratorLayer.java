package dev.patientharbor.assembly;

import dev.patientharbor.model.BuiltIn;

/** A decorator around an object. */
public sealed interface DecoratorLayer {

    /** The kinds of decorators: one constant for each record below. */
    enum Form {
        OF_CLASS,
        OF_OURS
    }

    /** Which record it is. */
    Form form();

    /**
     * An object of a class, which takes what it wraps by one of its parameters, fields or setters.
     */
    record OfClass(ObjectMaking.Constructed making) implements DecoratorLayer {
        @Override
        public Form form() {
            return Form.OF_CLASS;
        }
    }

    /** One that is built in. */
    record OfBuiltIn(BuiltIn builtIn) implements DecoratorLayer {
        @Override
        public Form form() {
            return Form.OF_OURS;
        }
    }
}
