package dev.patientharbor.assembly;

import dev.patientharbor.model.CannedMethod;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.terms.TypeRef;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** How one object comes to be, before anything is put around it. */
public sealed interface ObjectMaking {

    /** The ways in which objects come to be: one for each record below. */
    enum Form {
        CONSTRUCTED,
        CALLED,
        MOCKED,
        ANSWERING,
        CONVERTED,
        HANDED_IN,
        MADE_BY,
        SAME_CORE,
        NO_OBJECT
    }

    /** Which record it is. */
    Form form();

    /** The part of which it is the core, if it is that of another part. */
    default Optional<Integer> sameCoreAs() {
        return form() == Form.SAME_CORE ? Optional.of(((SameCore) this).part()) : Optional.empty();
    }

    /** Whether an object comes to be at all. */
    default boolean standsForObject() {
        return switch (form()) {
            case NO_OBJECT -> false;
            case CONSTRUCTED, CALLED, MOCKED, ANSWERING, CONVERTED -> true;
            case HANDED_IN, MADE_BY, SAME_CORE -> true;
        };
    }

    /** Whether the rig makes it from its contract alone, and sees the calls of it. */
    default boolean isFromContract() {
        return switch (form()) {
            case MOCKED, ANSWERING -> true;
            case CONSTRUCTED, CALLED, CONVERTED, HANDED_IN, MADE_BY -> false;
            case SAME_CORE, NO_OBJECT -> false;
        };
    }

    /**
     * An object that a constructor makes; then its marked fields and methods are filled.
     *
     * @param className the class, by its binary name
     * @param descriptor the erased types of the parameters of the constructor, as in JVMS 4.3.3
     * @param arguments what the constructor is given
     * @param sites the marked members, in the order in which they are filled
     */
    record Constructed(
            String className,
            String descriptor,
            List<AssemblyArgument> arguments,
            List<MarkedMember> sites)
            implements ObjectMaking {
        public Constructed {
            arguments = List.copyOf(arguments);
            sites = List.copyOf(sites);
        }

        @Override
        public Form form() {
            return Form.CONSTRUCTED;
        }
    }

    /**
     * An object that a method makes.
     *
     * @param className the class that declares it, by its binary name
     * @param method its name
     * @param descriptor the erased types of its parameters, as in JVMS 4.3.3
     * @param on the part whose method it is; empty for a static one
     * @param arguments what it is given
     */
    record Called(
            String className,
            String method,
            String descriptor,
            Optional<Integer> on,
            List<AssemblyArgument> arguments)
            implements ObjectMaking {
        public Called {
            arguments = List.copyOf(arguments);
        }

        @Override
        public Form form() {
            return Form.CALLED;
        }
    }

    /** A mock of a contract. */
    record Mocked(TypeRef contract) implements ObjectMaking {
        @Override
        public Form form() {
            return Form.MOCKED;
        }
    }

    /** A stub of a contract, from canned answers. */
    record Answering(TypeRef contract, List<CannedMethod> answers) implements ObjectMaking {
        public Answering {
            answers = List.copyOf(answers);
        }

        @Override
        public Form form() {
            return Form.ANSWERING;
        }
    }

    /** A value, converted to the contract. */
    record Converted(TypeRef contract, GivenValue given) implements ObjectMaking {
        @Override
        public Form form() {
            return Form.CONVERTED;
        }
    }

    /** An object that was handed in. */
    record HandedIn(Object object) implements ObjectMaking {
        @Override
        public Form form() {
            return Form.HANDED_IN;
        }
    }

    /** What a piece of code makes. */
    record MadeBy(Supplier<?> maker) implements ObjectMaking {
        @Override
        public Form form() {
            return Form.MADE_BY;
        }
    }

    /** The same object as in another part, which has other layers around it. */
    record SameCore(int part) implements ObjectMaking {
        @Override
        public Form form() {
            return Form.SAME_CORE;
        }
    }

    /**
     * A consumer that is no class, or a method that somebody else calls: no object stands for it.
     */
    record NoObject(List<AssemblyArgument> arguments) implements ObjectMaking {
        public NoObject {
            arguments = List.copyOf(arguments);
        }

        @Override
        public Form form() {
            return Form.NO_OBJECT;
        }
    }
}
