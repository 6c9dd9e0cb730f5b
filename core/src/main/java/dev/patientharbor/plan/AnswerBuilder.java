package dev.patientharbor.plan;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.plan.Answer.Around;
import dev.patientharbor.plan.Answer.Behind;
import dev.patientharbor.plan.Answer.Element;
import dev.patientharbor.plan.Answer.Hidden;
import dev.patientharbor.plan.Answer.Seat;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.texts.RequiredArgument;
import java.util.List;
import java.util.Optional;

/**
 * Makes an {@link Answer} step by step; what is not said stays empty. Each method says what the
 * accessor of the same name returns. Not for several threads.
 */
public final class AnswerBuilder {

    private final AnswerKind kind;
    private Optional<String> implementation = Optional.empty();
    private List<Around> around = List.of();
    private Optional<LifetimeChoice> lifetime = Optional.empty();
    private Optional<String> instance = Optional.empty();
    private Optional<SourcePosition> origin = Optional.empty();
    private List<Hidden> hides = List.of();
    private Optional<FillInSource> filledBy = Optional.empty();
    private List<String> leftOut = List.of();
    private List<Element> elements = List.of();
    private Optional<Behind> behind = Optional.empty();
    private String given = "";
    private Optional<Seat> fills = Optional.empty();

    /**
     * Begins an answer.
     *
     * @param kind what is received
     */
    public AnswerBuilder(AnswerKind kind) {
        this.kind = RequiredArgument.of(kind, "kind");
    }

    /** Begins with what an answer says. */
    AnswerBuilder(Answer answer) {
        kind = answer.kind();
        implementation = answer.implementation();
        around = answer.around();
        lifetime = answer.lifetime();
        instance = answer.instance();
        origin = answer.origin();
        hides = answer.hides();
        filledBy = answer.filledBy();
        leftOut = answer.leftOut();
        elements = answer.elements();
        behind = answer.behind();
        given = answer.given();
        fills = answer.fills();
    }

    /** Sets the binary name of the core; empty for a mock and where nothing is received. */
    public AnswerBuilder implementation(Optional<String> implementation) {
        this.implementation = RequiredArgument.of(implementation, "implementation");
        return this;
    }

    /** Sets the decorators around it, outermost first. */
    public AnswerBuilder around(List<Around> around) {
        this.around = RequiredArgument.of(around, "around");
        return this;
    }

    /** Sets how long an instance lives; empty where nothing is received. */
    public AnswerBuilder lifetime(Optional<LifetimeChoice> lifetime) {
        this.lifetime = RequiredArgument.of(lifetime, "lifetime");
        return this;
    }

    /** Sets a label: equal labels, same instance; empty where nothing is received. */
    public AnswerBuilder instance(Optional<String> instance) {
        this.instance = RequiredArgument.of(instance, "instance");
        return this;
    }

    /**
     * Sets where it was said: the binding, or the class that supplies itself; empty if nothing was
     * said.
     */
    public AnswerBuilder origin(Optional<SourcePosition> origin) {
        this.origin = RequiredArgument.of(origin, "origin");
        return this;
    }

    /** Sets what profiles further up say of the same slot, nearest first. */
    public AnswerBuilder hides(List<Hidden> hides) {
        this.hides = RequiredArgument.of(hides, "hides");
        return this;
    }

    /** Sets what allowed a class of the code to fill the slot, where nothing binds it. */
    public AnswerBuilder filledBy(Optional<FillInSource> filledBy) {
        this.filledBy = RequiredArgument.of(filledBy, "filledBy");
        return this;
    }

    /**
     * Sets the classes that would fill it in the same way, but ask for that very slot, by their
     * binary names.
     */
    public AnswerBuilder leftOut(List<String> leftOut) {
        this.leftOut = RequiredArgument.of(leftOut, "leftOut");
        return this;
    }

    /** Sets the members of a collection, in order. */
    public AnswerBuilder elements(List<Element> elements) {
        this.elements = RequiredArgument.of(elements, "elements");
        return this;
    }

    /** Sets what is behind an implementation that only passes on, or that a factory makes. */
    public AnswerBuilder behind(Optional<Behind> behind) {
        this.behind = RequiredArgument.of(behind, "behind");
        return this;
    }

    /**
     * Sets what is given to it, as it is written, settings by their names; what a canned stub
     * answers; blank for nothing.
     */
    public AnswerBuilder given(String given) {
        this.given = RequiredArgument.of(given, "given");
        return this;
    }

    /**
     * Sets where the received object stands: the slot that is asked for, or the one that stands in
     * for it; empty where nothing is received.
     */
    public AnswerBuilder fills(Optional<Seat> fills) {
        this.fills = RequiredArgument.of(fills, "fills");
        return this;
    }

    /** Returns the answer. */
    public Answer build() {
        return new Answer(
                new Answer.Content(
                        kind,
                        implementation,
                        around,
                        lifetime,
                        instance,
                        origin,
                        hides,
                        filledBy,
                        leftOut,
                        elements,
                        behind,
                        given,
                        fills));
    }
}
