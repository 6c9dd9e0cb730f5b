package dev.patientharbor.assembly;

import dev.patientharbor.model.GivenValue;
import java.util.Optional;

/** What a parameter or a field is given. */
public sealed interface AssemblyArgument {

    /** What may be given: one constant for each record below. */
    enum Form {
        FROM_PART,
        OF_VALUE,
        PASSED,
        WRAPPED
    }

    /** Which record it is. */
    Form form();

    /** The part that it is, if it is one. */
    default Optional<FromPart> fromPart() {
        return form() == Form.FROM_PART ? Optional.of((FromPart) this) : Optional.empty();
    }

    /** The name of the parameter or field; blank for what a decorator wraps. */
    String name();

    /** Another part. */
    record FromPart(int part, String name) implements AssemblyArgument {
        @Override
        public Form form() {
            return Form.FROM_PART;
        }
    }

    /** A value, converted to the type of the parameter. */
    record OfValue(String name, GivenValue given) implements AssemblyArgument {
        @Override
        public Form form() {
            return Form.OF_VALUE;
        }
    }

    /** An object that was passed for one making; may be null. */
    record Passed(String name, Object object) implements AssemblyArgument {
        @Override
        public Form form() {
            return Form.PASSED;
        }
    }

    /**
     * What a decorator wraps.
     *
     * @param carrier the interface that hands it out when it is asked, by binary name; blank where
     *     the decorator takes it as it is
     */
    record Wrapped(String carrier) implements AssemblyArgument {
        @Override
        public Form form() {
            return Form.WRAPPED;
        }

        @Override
        public String name() {
            return "";
        }
    }
}
