package dev.patientharbor.plan;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.ShortName;
import dev.patientharbor.terms.Slot;
import java.util.List;
import java.util.Optional;

/**
 * What one need receives.
 *
 * @param kind what it is
 * @param implementation the binary name of the core; empty for a mock and where nothing is received
 * @param around the decorators around it, outermost first
 * @param lifetime how long an instance lives; empty where nothing is received
 * @param instance a label: equal labels, same instance; empty where nothing is received
 * @param origin where it was said: the binding, or the class that supplies itself; empty if nothing
 *     was said
 * @param hides what profiles further up say of the same slot, nearest first
 * @param filledBy what allowed a class of the code to fill the slot, where nothing binds it
 * @param leftOut the classes that would fill it in the same way, but ask for that very slot, by
 *     their binary names
 * @param elements the members of a collection, in order
 * @param behind what is behind an implementation that only passes on, or that a factory makes
 * @param given what is given to it, as it is written, settings by their names; what a canned stub
 *     answers; blank for nothing
 * @param fills where the received object stands: the slot that is asked for, or the one that stands
 *     in for it; empty where nothing is received
 */
public record Answer(
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
    public Answer {
        elements = List.copyOf(elements);
        around = List.copyOf(around);
        hides = List.copyOf(hides);
        leftOut = List.copyOf(leftOut);
    }

    /**
     * A decorator.
     *
     * @param name a class by its binary name, a built-in one in words, such as {@code delay 200ms}
     * @param given what is given to it, as it is written, settings by their names; blank for
     *     nothing
     * @param at where it was said
     */
    public record Around(String name, String given, SourcePosition at) {}

    /** The decorators around it by their names, outermost first. */
    public List<String> decorators() {
        return around.stream().map(Around::name).toList();
    }

    /**
     * What is at the end of the line.
     *
     * @param kind what it is
     * @param implementation its class; empty for a mock and canned answers
     */
    public record Behind(AnswerKind kind, Optional<String> implementation) {}

    /**
     * A binding that another one hides.
     *
     * @param supply what it would have supplied, in a word
     * @param at where it stands; the class for one that would fill the slot by its mark
     */
    public record Hidden(String supply, SourcePosition at) {}

    /**
     * A member of a collection.
     *
     * @param key its key; empty for the plain slot
     * @param carrier what it is wrapped in
     * @param answer what it is
     */
    public record Element(Optional<Key> key, Optional<String> carrier, Answer answer) {}

    /**
     * A slot at a level.
     *
     * @param slot the slot
     * @param within the area or consumer; empty for the whole profile
     */
    public record Seat(Slot slot, Optional<String> within) {

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

    /** Returns this answer with other members. */
    public Answer withElements(List<Element> members) {
        return new Answer(
                kind,
                implementation,
                around,
                lifetime,
                instance,
                origin,
                hides,
                filledBy,
                leftOut,
                members,
                behind,
                given,
                fills);
    }

    /** Returns this answer with a label for the instance. */
    public Answer labelled(String label) {
        return new Answer(
                kind,
                implementation,
                around,
                lifetime,
                Optional.of(label),
                origin,
                hides,
                filledBy,
                leftOut,
                elements,
                behind,
                given,
                fills);
    }

    /** Whether the need is met. */
    public boolean isMet() {
        return kind != AnswerKind.UNMET;
    }
}
