package dev.patientharbor.resolve;

import java.util.List;
import java.util.Optional;

/**
 * What fills one slot in one profile.
 *
 * @param kind what it is
 * @param binding the binding that says so; empty where a class supplies itself and where nothing
 *     does
 * @param blueprint how the core is made, if it is an object of a class
 * @param decorators what is around it, outermost first
 * @param next the slot that stands in for this one, if another does
 * @param candidates the slots among which nothing chooses, if there are several
 */
public record Outcome(
        Kind kind,
        Optional<ResolvedBinding> binding,
        Optional<Blueprint> blueprint,
        List<ResolvedDecorator> decorators,
        Optional<Integer> next,
        List<Integer> candidates) {

    /** The kinds of outcome. */
    public enum Kind {
        /** An object of a class. */
        OBJECT,
        /** A mock of the contract. */
        MOCK,
        /** Whatever fills another slot. */
        ALIAS,
        /** A binding that cannot fill its slot. */
        BROKEN,
        /** Nothing. */
        UNMET,
        /** Nothing, and the type is one of values. */
        VALUE_MISSING,
        /** Several, and nothing chooses. */
        SEVERAL
    }

    /** Whether a consumer receives something. */
    public boolean isMet() {
        return kind == Kind.OBJECT || kind == Kind.MOCK;
    }

    static Outcome nothing(Kind kind) {
        return new Outcome(
                kind, Optional.empty(), Optional.empty(), List.of(), Optional.empty(), List.of());
    }

    static Outcome object(
            Optional<ResolvedBinding> binding,
            Blueprint blueprint,
            List<ResolvedDecorator> decorators) {
        return new Outcome(
                Kind.OBJECT,
                binding,
                Optional.of(blueprint),
                decorators,
                Optional.empty(),
                List.of());
    }

    static Outcome mock(ResolvedBinding binding, List<ResolvedDecorator> decorators) {
        return new Outcome(
                Kind.MOCK,
                Optional.of(binding),
                Optional.empty(),
                decorators,
                Optional.empty(),
                List.of());
    }

    static Outcome alias(Optional<ResolvedBinding> binding, int next) {
        return new Outcome(
                Kind.ALIAS, binding, Optional.empty(), List.of(), Optional.of(next), List.of());
    }

    static Outcome broken(ResolvedBinding binding) {
        return new Outcome(
                Kind.BROKEN,
                Optional.of(binding),
                Optional.empty(),
                List.of(),
                Optional.empty(),
                List.of());
    }

    static Outcome several(List<Integer> candidates) {
        return new Outcome(
                Kind.SEVERAL,
                Optional.empty(),
                Optional.empty(),
                List.of(),
                Optional.empty(),
                List.copyOf(candidates));
    }
}
