package dev.patientharbor.plan;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.ShortName;
import java.util.List;
import java.util.Optional;

/**
 * What one need receives. Immutable; equal answers say the same.
 *
 * <p>It is made by an {@link AnswerBuilder}, so that an answer may say more one day.
 */
public final class Answer {

    private final Content content;

    /** All that an answer says. */
    record Content(
            AnswerKind kind,
            Optional<String> implementation,
            List<Around> around,
            Optional<LifetimeChoice> lifetime,
            Optional<String> instance,
            Optional<SourcePosition> origin,
            List<Hidden> hides,
            Optional<FillInSource> filledBy,
            List<String> leftOut,
            List<Element> elements,
            Optional<Behind> behind,
            String given,
            Optional<Seat> fills) {

        Content {
            around = List.copyOf(around);
            hides = List.copyOf(hides);
            leftOut = List.copyOf(leftOut);
            elements = List.copyOf(elements);
        }
    }

    Answer(Content content) {
        this.content = content;
    }

    /** Returns what it is: real, a stub, a mock, and so on. */
    public AnswerKind kind() {
        return content.kind();
    }

    /** Returns the binary name of the core; empty for a mock and where nothing is received. */
    public Optional<String> implementation() {
        return content.implementation();
    }

    /** Returns the decorators around it, outermost first. */
    public List<Around> around() {
        return content.around();
    }

    /** Returns how long an instance lives; empty where nothing is received. */
    public Optional<LifetimeChoice> lifetime() {
        return content.lifetime();
    }

    /** Returns a label: equal labels, same instance; empty where nothing is received. */
    public Optional<String> instance() {
        return content.instance();
    }

    /**
     * Returns where it was said: the binding, or the class that supplies itself; empty if nothing
     * was said.
     */
    public Optional<SourcePosition> origin() {
        return content.origin();
    }

    /** Returns what profiles further up say of the same slot, nearest first. */
    public List<Hidden> hides() {
        return content.hides();
    }

    /** Returns what allowed a class of the code to fill the slot, where nothing binds it. */
    public Optional<FillInSource> filledBy() {
        return content.filledBy();
    }

    /**
     * Returns the classes that would fill it in the same way, but ask for that very slot, by their
     * binary names.
     */
    public List<String> leftOut() {
        return content.leftOut();
    }

    /** Returns the members of a collection, in order. */
    public List<Element> elements() {
        return content.elements();
    }

    /** Returns what is behind an implementation that only passes on, or that a factory makes. */
    public Optional<Behind> behind() {
        return content.behind();
    }

    /**
     * Returns what is given to it, as it is written, settings by their names; what a canned stub
     * answers; blank for nothing.
     */
    public String given() {
        return content.given();
    }

    /**
     * Returns where the received object stands: the slot that is asked for, or the one that stands
     * in for it; empty where nothing is received.
     */
    public Optional<Seat> fills() {
        return content.fills();
    }

    /** Returns the decorators around it by their names, outermost first. */
    public List<String> decorators() {
        return around().isEmpty() ? List.of() : around().stream().map(Around::name).toList();
    }

    /** Returns whether the need is met. */
    public boolean isMet() {
        return kind() != AnswerKind.UNMET;
    }

    /**
     * Returns a text that is equal for equal decisions: what is received, what is around it, given
     * to it and in it, and how long it lives; not which instance it is.
     */
    public String decision() {
        StringBuilder decision = new StringBuilder(kind().word());
        decision.append('\t').append(implementation().orElse(""));
        around().forEach(
                        each ->
                                decision.append('\t')
                                        .append(each.name())
                                        .append(' ')
                                        .append(each.given()));
        decision.append('\t').append(given()).append('\t');
        decision.append(lifetime().map(choice -> choice.lifetime().word()).orElse(""));
        decision.append(instance().isPresent());
        elements().forEach(each -> decision.append("\t[").append(each.decision()).append(']'));
        return decision.toString();
    }

    /** Returns this answer with a label for the instance. */
    public Answer labelled(String label) {
        RequiredArgument.of(label, "label");
        return new AnswerBuilder(this).instance(Optional.of(label)).build();
    }

    Content content() {
        return content;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Answer that && content.equals(that.content);
    }

    @Override
    public int hashCode() {
        return content.hashCode();
    }

    @Override
    public String toString() {
        return content.toString().replaceFirst("^Content", "Answer");
    }

    /**
     * A decorator.
     *
     * @param name a class by its binary name, a built-in one in words, such as {@code delay 200ms}
     * @param given what is given to it, as it is written, settings by their names; blank for
     *     nothing
     * @param at where it was said
     */
    public record Around(String name, String given, SourcePosition at) {
        public Around {
            RequiredArgument.of(name, "name");
            RequiredArgument.of(given, "given");
            RequiredArgument.of(at, "at");
        }
    }

    /**
     * What really answers behind an implementation that only passes on, or behind a factory.
     *
     * @param kind what it is
     * @param implementation its class; empty for a mock and canned answers
     */
    public record Behind(AnswerKind kind, Optional<String> implementation) {
        public Behind {
            RequiredArgument.of(kind, "kind");
            RequiredArgument.of(implementation, "implementation");
        }
    }

    /**
     * A binding that another one hides.
     *
     * @param supply what it would have supplied, in a word
     * @param at where it stands; the class for one that would fill the slot by its mark
     */
    public record Hidden(String supply, SourcePosition at) {
        public Hidden {
            RequiredArgument.of(supply, "supply");
            RequiredArgument.of(at, "at");
        }
    }

    /**
     * A member of a collection.
     *
     * @param key its key; empty for the plain slot
     * @param carrier what it is wrapped in
     * @param answer what it is
     */
    public record Element(Optional<Key> key, Optional<String> carrier, Answer answer) {
        public Element {
            RequiredArgument.of(key, "key");
            RequiredArgument.of(carrier, "carrier");
            RequiredArgument.of(answer, "answer");
        }

        /** Returns a text that is equal for members that are the same decision. */
        public String decision() {
            return key.map(Key::written).orElse("")
                    + '\t'
                    + carrier.orElse("")
                    + '\t'
                    + answer.decision();
        }
    }

    /**
     * A slot at a level.
     *
     * @param slot the slot
     * @param within the area or consumer; empty for the whole profile
     */
    public record Seat(Slot slot, Optional<String> within) {
        public Seat {
            RequiredArgument.of(slot, "slot");
            RequiredArgument.of(within, "within");
        }

        /**
         * Returns the seat as people read it: {@code TideGauge within lock}; classes by their short
         * names.
         */
        @Override
        public String toString() {
            return slot.text(ShortName::of)
                    + within.map(level -> " within " + ShortName.of(level)).orElse("");
        }
    }
}
