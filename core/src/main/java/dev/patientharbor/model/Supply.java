package dev.patientharbor.model;

import dev.patientharbor.terms.ImplementationKind;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import java.util.List;
import java.util.Optional;

/** What fills a slot. Each kind says for itself what the rest of the street asks of it. */
public sealed interface Supply {

    /** Which record it is. */
    SupplyForm form();

    /** What it does to the slot. */
    default SupplyEffect effect() {
        return form().effect();
    }

    /**
     * What it supplies as people read it: the class as written, {@code mock}, {@code same as …}.
     */
    String words();

    /** Returns what it is for its contract; empty where it supplies nothing of its own. */
    Optional<ImplementationKind> kind();

    /** The class that it names: the one that is made, or that has the method of a factory. */
    default Optional<WrittenName> className() {
        return switch (form()) {
            case CLASS -> Optional.of(((OfClass) this).name());
            case FACTORY -> Optional.of(((Factory) this).holder());
            case MOCK,
                    ANSWERS,
                    VALUE,
                    OBJECT,
                    CALL,
                    STATED_KEYS,
                    MEMBERS,
                    SAME_AS,
                    NONE,
                    INHERITED,
                    REMOVED,
                    TO_FILL ->
                    Optional.empty();
        };
    }

    /** The slot that stands in, where another does. */
    default Optional<Slot> target() {
        return form() == SupplyForm.SAME_AS
                ? Optional.of(((SameAs) this).slot())
                : Optional.empty();
    }

    /** The slots that it lists as members of a collection. */
    default List<Slot> members() {
        return form() == SupplyForm.MEMBERS ? ((Members) this).slots() : List.of();
    }

    /** The factory that it is. */
    default Optional<Factory> factory() {
        return form() == SupplyForm.FACTORY ? Optional.of((Factory) this) : Optional.empty();
    }

    /** The object that was handed in. */
    default Optional<HandedIn> handedIn() {
        return form() == SupplyForm.OBJECT ? Optional.of((HandedIn) this) : Optional.empty();
    }

    /** The canned answers of which a stub is made. */
    default Optional<List<CannedMethod>> cannedAnswers() {
        return form() == SupplyForm.ANSWERS
                ? Optional.of(((OfAnswers) this).answers())
                : Optional.empty();
    }

    /** Everything that it says, as text: equal for equal supplies, wherever they stand. */
    default String canonicalText() {
        return kind().map(ImplementationKind::word).orElse("") + ' ' + words();
    }

    /** Whether another one supplies the same, wherever the two stand. */
    default boolean isSameAs(Supply other) {
        return canonicalText().equals(other.canonicalText());
    }

    /**
     * An object of a class.
     *
     * @param of what the class is for its contract
     * @param name the class
     */
    record OfClass(ImplementationKind of, WrittenName name) implements Supply {
        public OfClass {
            if (of == ImplementationKind.MOCK) {
                throw new IllegalArgumentException(
                        "a mock has no class of its own: " + name.text());
            }
        }

        @Override
        public SupplyForm form() {
            return SupplyForm.CLASS;
        }

        @Override
        public String words() {
            return name.text();
        }

        @Override
        public Optional<ImplementationKind> kind() {
            return Optional.of(of);
        }
    }

    /** A mock, made from the contract alone. */
    record Mock() implements Supply {
        @Override
        public SupplyForm form() {
            return SupplyForm.MOCK;
        }

        @Override
        public String words() {
            return "mock";
        }

        @Override
        public Optional<ImplementationKind> kind() {
            return Optional.of(ImplementationKind.MOCK);
        }
    }

    /** A stub with canned answers, made from the contract and these. */
    record OfAnswers(List<CannedMethod> answers) implements Supply {
        public OfAnswers {
            answers = List.copyOf(answers);
        }

        @Override
        public SupplyForm form() {
            return SupplyForm.ANSWERS;
        }

        @Override
        public String words() {
            return "canned answers";
        }

        @Override
        public Optional<ImplementationKind> kind() {
            return Optional.of(ImplementationKind.STUB);
        }

        @Override
        public String canonicalText() {
            return "stub " + answers.stream().map(CannedMethod::canonicalText).toList();
        }
    }

    /**
     * A value, converted to the contract.
     *
     * @param of what it is for its contract
     */
    record OfValue(ImplementationKind of, GivenValue given) implements Supply {
        @Override
        public SupplyForm form() {
            return SupplyForm.VALUE;
        }

        @Override
        public String words() {
            return "a value";
        }

        @Override
        public Optional<ImplementationKind> kind() {
            return Optional.of(of);
        }

        @Override
        public String canonicalText() {
            return of.word() + " value " + given.canonicalText();
        }
    }

    /**
     * An object that was handed in.
     *
     * @param of what it is for its contract
     * @param object the object
     */
    record HandedIn(ImplementationKind of, Object object) implements Supply {
        @Override
        public SupplyForm form() {
            return SupplyForm.OBJECT;
        }

        @Override
        public String words() {
            return madeFor().map(name -> "an object of " + name).orElse("an object");
        }

        /** The class of the object by binary name; empty if it was made at run time. */
        public Optional<String> madeFor() {
            Class<?> type = object.getClass();
            String file = type.getName().substring(type.getName().lastIndexOf('.') + 1) + ".class";
            return type.isHidden() || type.getResource(file) == null
                    ? Optional.empty()
                    : Optional.of(type.getName());
        }

        @Override
        public Optional<ImplementationKind> kind() {
            return Optional.of(of);
        }

        @Override
        public boolean isSameAs(Supply other) {
            return other instanceof HandedIn that && object == that.object && of == that.of;
        }
    }

    /**
     * What a given piece of code makes.
     *
     * @param of what it is for its contract
     * @param maker the code; it runs when the object is wanted, not while checking
     */
    record MadeBy(ImplementationKind of, java.util.function.Supplier<?> maker) implements Supply {
        @Override
        public SupplyForm form() {
            return SupplyForm.CALL;
        }

        @Override
        public String words() {
            return "what a given call makes";
        }

        @Override
        public Optional<ImplementationKind> kind() {
            return Optional.of(of);
        }

        @Override
        public boolean isSameAs(Supply other) {
            return other instanceof MadeBy that && maker == that.maker && of == that.of;
        }
    }

    /**
     * Several classes, each under the key that a method of it states by returning a constant.
     *
     * @param of what the classes are for their contract
     * @param method the name of the method
     * @param names the classes, in order
     */
    record ByStatedKey(ImplementationKind of, String method, List<WrittenName> names)
            implements Supply {
        public ByStatedKey {
            names = List.copyOf(names);
        }

        @Override
        public SupplyForm form() {
            return SupplyForm.STATED_KEYS;
        }

        @Override
        public String words() {
            return "classes by their " + method;
        }

        @Override
        public Optional<ImplementationKind> kind() {
            return Optional.of(of);
        }
    }

    /**
     * What a method returns.
     *
     * @param of what it is for its contract
     * @param holder the class whose method it is; for a method that is not static, the slot of it
     * @param method the name of the method
     */
    record Factory(ImplementationKind of, WrittenName holder, String method) implements Supply {
        @Override
        public SupplyForm form() {
            return SupplyForm.FACTORY;
        }

        @Override
        public String words() {
            return holder.text() + '#' + method;
        }

        @Override
        public Optional<ImplementationKind> kind() {
            return Optional.of(of);
        }
    }

    /** Some slots, in order, for a slot whose contract is a collection or a map. */
    record Members(List<Slot> slots) implements Supply {
        public Members {
            slots = List.copyOf(slots);
        }

        @Override
        public SupplyForm form() {
            return SupplyForm.MEMBERS;
        }

        @Override
        public String words() {
            return "members " + slots.stream().map(Slot::text).toList();
        }

        @Override
        public Optional<ImplementationKind> kind() {
            return Optional.empty();
        }
    }

    /** Whatever fills another slot: the same instance, not a second one. */
    record SameAs(Slot slot) implements Supply {
        @Override
        public SupplyForm form() {
            return SupplyForm.SAME_AS;
        }

        @Override
        public String words() {
            return "same as " + slot.text();
        }

        @Override
        public Optional<ImplementationKind> kind() {
            return Optional.empty();
        }
    }

    /** Nothing, on purpose: meets only needs that may be absent. */
    record None() implements Supply {
        @Override
        public SupplyForm form() {
            return SupplyForm.NONE;
        }

        @Override
        public String words() {
            return "none";
        }

        @Override
        public Optional<ImplementationKind> kind() {
            return Optional.empty();
        }
    }

    /** Whatever the inherited binding of the same level supplies; the rest of it is changed. */
    record Inherited() implements Supply {
        @Override
        public SupplyForm form() {
            return SupplyForm.INHERITED;
        }

        @Override
        public String words() {
            return "as inherited";
        }

        @Override
        public Optional<ImplementationKind> kind() {
            return Optional.empty();
        }
    }

    /** Takes an inherited binding away, as if it had never been. */
    record Removed() implements Supply {
        @Override
        public SupplyForm form() {
            return SupplyForm.REMOVED;
        }

        @Override
        public String words() {
            return "removed";
        }

        @Override
        public Optional<ImplementationKind> kind() {
            return Optional.empty();
        }
    }

    /** To be filled by a profile that extends this one. */
    record ToFill() implements Supply {
        @Override
        public SupplyForm form() {
            return SupplyForm.TO_FILL;
        }

        @Override
        public String words() {
            return "to-fill";
        }

        @Override
        public Optional<ImplementationKind> kind() {
            return Optional.empty();
        }
    }
}
