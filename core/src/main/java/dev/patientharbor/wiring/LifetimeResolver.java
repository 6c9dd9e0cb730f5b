package dev.patientharbor.wiring;

import dev.patientharbor.code.AnnotationFacts;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.KnownMarks;
import dev.patientharbor.needs.MarkFault;
import dev.patientharbor.plan.LifetimeChoice;
import dev.patientharbor.plan.LifetimeChoice.By;
import dev.patientharbor.terms.Lifetime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Says how long what fills a slot lives: as its binding says; else as a mark on its class says
 * (Jakarta Dependency Injection: {@code Singleton} and other scope marks, which subclasses do not
 * inherit); else as the profile says; else as the set says.
 */
public final class LifetimeResolver {

    private final CodeIndex code;
    private final KnownMarks marks;
    private final Lifetime defaultLifetime;
    private final Map<String, Boolean> scopeMarks = new HashMap<>();

    /** What bindings and marks say, by outcome; rosters are made by several threads. */
    private final Map<SlotOutcome, Optional<LifetimeChoice>> ownLifetimes =
            new ConcurrentHashMap<>();

    public LifetimeResolver(CodeIndex code, KnownMarks marks, Lifetime defaultLifetime) {
        this.code = code;
        this.marks = marks;
        this.defaultLifetime = defaultLifetime;
    }

    /** The lifetime of what fills a slot in a profile, and what decided it. */
    public LifetimeChoice of(SlotOutcome outcome, ResolvedProfile profile) {
        Optional<LifetimeChoice> own = known(outcome);
        return own.isPresent() ? own.get() : usual(profile);
    }

    /**
     * The class of which there is one object, for a rig or a scope, whatever slot leads to it: a
     * mark on it says so. Empty where each slot has its own.
     */
    public Optional<String> oneOfClass(SlotOutcome outcome) {
        return outcome.kind() == SlotOutcome.Kind.OBJECT
                        && known(outcome)
                                .filter(choice -> choice.by() == By.MARK)
                                .filter(choice -> choice.lifetime().isKept())
                                .isPresent()
                ? outcome.blueprint().map(Blueprint::className)
                : Optional.empty();
    }

    private Optional<LifetimeChoice> known(SlotOutcome outcome) {
        Optional<LifetimeChoice> known = ownLifetimes.get(outcome);
        if (known == null) {
            known = ownLifetime(outcome);
            ownLifetimes.put(outcome, known);
        }
        return known;
    }

    private Optional<LifetimeChoice> ownLifetime(SlotOutcome outcome) {
        Optional<Lifetime> bound =
                outcome.binding().flatMap(binding -> binding.declared().lifetime());
        if (bound.isPresent()) {
            return Optional.of(new LifetimeChoice(bound.get(), By.BINDING));
        }
        Optional<Blueprint> made = outcome.blueprint();
        return made.isPresent() && made.get().method().isEmpty()
                ? marked(made.get().facts()).map(it -> new LifetimeChoice(it, By.MARK))
                : Optional.empty();
    }

    /** The lifetime of what has none of its own, in a profile. */
    public LifetimeChoice usual(ResolvedProfile profile) {
        Optional<Lifetime> said = profile.lifetime();
        return said.isPresent()
                ? new LifetimeChoice(said.get(), By.PROFILE)
                : new LifetimeChoice(defaultLifetime, By.DEFAULT);
    }

    private Optional<Lifetime> marked(ClassFacts facts) {
        if (KnownMarks.isSingleton(facts.annotations())) {
            return Optional.of(Lifetime.SHARED);
        }
        for (AnnotationFacts mark : facts.annotations()) {
            Optional<Lifetime> scope = marks.scope(mark);
            if (scope.isPresent()) {
                return scope;
            }
        }
        return Optional.empty();
    }

    /** The scope marks on a class for which the file has no lifetime. */
    public List<String> unmapped(ClassFacts facts) {
        if (facts.annotations().isEmpty() || KnownMarks.isSingleton(facts.annotations())) {
            return List.of();
        }
        return facts.annotations().stream()
                .filter(mark -> marks.scope(mark).isEmpty() && isScope(mark))
                .map(AnnotationFacts::type)
                .toList();
    }

    /** Returns what is wrong with the scope marks of a class: it has one at most. */
    public List<MarkFault> faults(ClassFacts facts) {
        if (facts.annotations().size() < 2) {
            return List.of();
        }
        int scopes = 0;
        for (AnnotationFacts mark : facts.annotations()) {
            boolean isScope =
                    KnownMarks.isSingleton(List.of(mark))
                            || marks.scope(mark).isPresent()
                            || isScope(mark);
            scopes += isScope ? 1 : 0;
        }
        return scopes < 2
                ? List.of()
                : List.of(
                        new MarkFault(
                                MarkFault.Reason.TWO_SCOPES,
                                SourcePosition.classNamed(facts.name())));
    }

    /** Whether it is a scope by the standard, or by what others use in its place. */
    private boolean isScope(AnnotationFacts mark) {
        return scopeMarks.computeIfAbsent(
                mark.type(),
                type ->
                        code.find(type)
                                .filter(
                                        facts ->
                                                KnownMarks.isScope(facts.annotations())
                                                        || KnownMarks.isCalledScope(
                                                                facts.annotations()))
                                .isPresent());
    }
}
