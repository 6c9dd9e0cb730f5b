package dev.patientharbor.wiring;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.model.SupplyForm;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.terms.ImplementationKind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What fills one slot in one profile. Profiles that agree on a slot share the outcome.
 *
 * <p>What it leads to is kept as plain numbers: a check passes over all of them, once or twice for
 * each profile.
 */
public final class SlotOutcome {

    private static final int[] NOWHERE = {};

    private final Kind kind;
    private final AnswerKind answer;
    private final Optional<ResolvedBinding> binding;
    private final Optional<Blueprint> blueprint;
    private final List<ResolvedDecorator> decorators;

    /** Those that ask for something, each class once. */
    private final List<ResolvedDecorator> asking;

    private final Optional<Integer> core;
    private final Aim aim;
    private final int[] asks;
    private final boolean standsAlone;

    /** The kinds of outcome. */
    public enum Kind {
        /** An object of a class. */
        OBJECT,
        /** A mock of the contract. */
        MOCK,
        /** A value that is given, an object that is handed in, or what a given call makes. */
        VALUE,
        /** Whatever fills another slot. */
        ALIAS,
        /** A binding that cannot fill its slot. */
        BROKEN,
        /** Nothing. */
        UNMET,
        /** Nothing, and the type is one of values. */
        VALUE_MISSING,
        /** Several, and nothing chooses. */
        SEVERAL,
        /** Nothing, on purpose. */
        NONE,
        /** Something that may be absent, and is there. */
        OPTIONAL,
        /** Something that may be absent, and is. */
        ABSENT,
        /** Something that is made when it is asked for. */
        DEFERRED,
        /** Every variant. */
        COLLECTION
    }

    /** Receives needs. */
    public interface NeedVisitor {
        void visit(Blueprint consumer, Need need);
    }

    private SlotOutcome(
            Kind kind,
            Optional<ResolvedBinding> binding,
            Optional<Blueprint> blueprint,
            List<ResolvedDecorator> decorators,
            Optional<Integer> core,
            Aim aim) {
        this.kind = kind;
        this.binding = binding;
        this.blueprint = blueprint;
        this.decorators = List.copyOf(decorators);
        asking = decorators.isEmpty() ? List.of() : asking(decorators);
        this.core = core;
        this.aim = aim;
        answer = answerKind();
        standsAlone = isMet() && core.isEmpty() && decorators.isEmpty();
        asks = blueprint.isEmpty() && decorators.isEmpty() ? NOWHERE : collectAsks();
    }

    /**
     * The other slots that an outcome points at.
     *
     * @param next the one that stands in, or that is wrapped
     * @param several those among which nothing chooses, or the members of a collection
     * @param filledBy what allowed a class to stand in
     */
    private record Aim(
            Optional<Integer> next, List<Integer> several, Optional<FillInSource> filledBy) {
        private static final Aim NONE = new Aim(Optional.empty(), List.of(), Optional.empty());

        static Aim at(int next) {
            return new Aim(Optional.of(next), List.of(), Optional.empty());
        }

        static Aim at(List<Integer> several) {
            return new Aim(Optional.empty(), List.copyOf(several), Optional.empty());
        }
    }

    private static SlotOutcome pointing(Kind kind, Optional<ResolvedBinding> binding, Aim aim) {
        return new SlotOutcome(kind, binding, Optional.empty(), List.of(), Optional.empty(), aim);
    }

    public static SlotOutcome nothing(Kind kind) {
        return pointing(kind, Optional.empty(), Aim.NONE);
    }

    /** Makes the outcome of a binding that leaves its slot empty. */
    static SlotOutcome of(Kind kind, Optional<ResolvedBinding> binding) {
        return pointing(kind, binding, Aim.NONE);
    }

    /** What a binding makes of its slot, with the given decorators around it. */
    public static SlotOutcome ofBinding(
            ResolvedBinding binding, List<ResolvedDecorator> decorators) {
        if (binding.isBroken()) {
            return of(Kind.BROKEN, Optional.of(binding));
        }
        Optional<ResolvedBinding> by = Optional.of(binding);
        return switch (binding.declared().supply().form()) {
            case SAME_AS -> alias(by, binding.target().orElseThrow());
            case NONE -> of(Kind.NONE, by);
            case TO_FILL, INHERITED -> of(Kind.UNMET, by);
            case MEMBERS -> of(Kind.BROKEN, by);
            case VALUE, OBJECT, CALL -> value(binding, decorators);
            case MOCK, ANSWERS -> mock(binding, decorators);
            case CLASS, FACTORY, STATED_KEYS, REMOVED ->
                    binding.blueprint()
                            .map(blueprint -> object(by, blueprint, decorators))
                            .orElseGet(() -> mock(binding, decorators));
        };
    }

    static SlotOutcome object(
            Optional<ResolvedBinding> binding,
            Blueprint blueprint,
            List<ResolvedDecorator> decorators) {
        return new SlotOutcome(
                Kind.OBJECT,
                binding,
                Optional.of(blueprint),
                decorators,
                Optional.empty(),
                Aim.NONE);
    }

    static SlotOutcome mock(ResolvedBinding binding, List<ResolvedDecorator> decorators) {
        return new SlotOutcome(
                Kind.MOCK,
                Optional.of(binding),
                Optional.empty(),
                decorators,
                Optional.empty(),
                Aim.NONE);
    }

    static SlotOutcome value(ResolvedBinding binding, List<ResolvedDecorator> decorators) {
        return new SlotOutcome(
                Kind.VALUE,
                Optional.of(binding),
                Optional.empty(),
                decorators,
                Optional.empty(),
                Aim.NONE);
    }

    /**
     * Returns this outcome with its core in the layers of another level, which has decorators of
     * its own and binds nothing.
     */
    SlotOutcome inLayers(int core, List<ResolvedDecorator> layers) {
        return new SlotOutcome(kind, binding, blueprint, layers, Optional.of(core), aim);
    }

    /**
     * Returns this outcome as that of a class of the code that fills a slot which nothing binds.
     */
    SlotOutcome filledIn(FillInSource by) {
        Aim filled = new Aim(aim.next(), aim.several(), Optional.of(by));
        return new SlotOutcome(kind, binding, blueprint, decorators, core, filled);
    }

    static SlotOutcome alias(Optional<ResolvedBinding> binding, int next) {
        return pointing(Kind.ALIAS, binding, Aim.at(next));
    }

    /** A class of the code that fills a slot which nothing binds. */
    static SlotOutcome filledIn(FillInSource by, int own) {
        return pointing(
                Kind.ALIAS,
                Optional.empty(),
                new Aim(Optional.of(own), List.of(), Optional.of(by)));
    }

    /** A wrapping around what fills another slot. */
    static SlotOutcome wrapping(Kind kind, int content) {
        return pointing(kind, Optional.empty(), Aim.at(content));
    }

    static SlotOutcome collection(Optional<ResolvedBinding> binding, List<Integer> elements) {
        return pointing(Kind.COLLECTION, binding, Aim.at(elements));
    }

    static SlotOutcome several(List<Integer> candidates) {
        return pointing(Kind.SEVERAL, Optional.empty(), Aim.at(candidates));
    }

    public Kind kind() {
        return kind;
    }

    /** What a need receives by it, in one word; for an alias see the slot that stands in. */
    public AnswerKind answer() {
        return answer;
    }

    /** The binding that says so; empty where a class supplies itself and where nothing does. */
    public Optional<ResolvedBinding> binding() {
        return binding;
    }

    /** How the core is made, if it is an object of a class. */
    public Optional<Blueprint> blueprint() {
        return blueprint;
    }

    /** What is around it, outermost first. */
    public List<ResolvedDecorator> decorators() {
        return decorators;
    }

    /** The slot that stands in for this one, or that this one wraps. */
    public Optional<Integer> next() {
        return aim.next();
    }

    /** The same as {@link #candidates()}. */
    int[] members() {
        int[] members = new int[candidates().size()];
        Arrays.setAll(members, candidates()::get);
        return members;
    }

    /** The slots among which nothing chooses, or the elements of a collection, in order. */
    public List<Integer> candidates() {
        return aim.several();
    }

    /** What allowed a class to fill the slot, where nothing binds it. */
    public Optional<FillInSource> filledBy() {
        return aim.filledBy();
    }

    /** The slot whose core this is in other layers, if it is. */
    public Optional<Integer> core() {
        return core;
    }

    /** Whether a consumer receives something. */
    public boolean isMet() {
        return kind == Kind.OBJECT || kind == Kind.MOCK || kind == Kind.VALUE;
    }

    /** Whether nothing is there that a consumer could receive, and nothing is wrong either. */
    boolean isNothing() {
        return (kind == Kind.UNMET || kind == Kind.VALUE_MISSING) && binding.isEmpty()
                || kind == Kind.NONE
                || kind == Kind.ABSENT
                || kind == Kind.COLLECTION && candidates().isEmpty();
    }

    /** Whether it is a wrapping that is not itself bound. */
    public boolean isWrapping() {
        return kind == Kind.OPTIONAL
                || kind == Kind.DEFERRED
                || kind == Kind.COLLECTION
                || kind == Kind.ABSENT;
    }

    /** Whether all is well with it, as far as it can be told from it alone. */
    boolean isSound() {
        return switch (kind) {
            case ALIAS, MOCK, VALUE, OPTIONAL, ABSENT, DEFERRED -> true;
            case OBJECT -> blueprint.get().fault().isEmpty();
            case COLLECTION -> !candidates().isEmpty();
            case BROKEN, UNMET, VALUE_MISSING, SEVERAL, NONE -> false;
        };
    }

    /** Whether it points at no other slot: it is the same for whoever says the same. */
    boolean standsAlone() {
        return standsAlone;
    }

    /** The slots that the object and its decorators ask for, one for each need. */
    int[] asks() {
        return asks;
    }

    /** Hands over each need, and the class that has it: the decorators' and the core's. */
    public void eachNeed(NeedVisitor visitor) {
        for (ResolvedDecorator decorator : asking) {
            Need inner = decorator.inner().get(0);
            Blueprint made = decorator.blueprint().orElseThrow();
            for (Need need : made.needs()) {
                if (need != inner) {
                    visitor.visit(made, need);
                }
            }
        }
        if (blueprint.isPresent() && core.isEmpty()) {
            for (Need need : blueprint.get().needs()) {
                visitor.visit(blueprint.get(), need);
            }
        }
    }

    private static List<ResolvedDecorator> asking(List<ResolvedDecorator> decorators) {
        Set<String> seen = new HashSet<>();
        List<ResolvedDecorator> asking = new ArrayList<>();
        for (ResolvedDecorator decorator : decorators) {
            boolean isNew = decorator.dropName().map(seen::add).orElse(true);
            if (isNew && decorator.builtIn().isEmpty()) {
                asking.add(decorator);
            }
        }
        return List.copyOf(asking);
    }

    private int[] collectAsks() {
        List<Integer> slots = new ArrayList<>();
        eachNeed((consumer, need) -> slots.add(need.slot()));
        int[] numbers = new int[slots.size()];
        Arrays.setAll(numbers, slots::get);
        return numbers;
    }

    /** What the binding calls it, where that is not the real thing. */
    private Optional<AnswerKind> standIn() {
        return binding.flatMap(binding -> binding.declared().supply().kind())
                .filter(ImplementationKind::isStandIn)
                .map(AnswerKind::of);
    }

    private boolean isMadeByCall() {
        return binding.filter(binding -> binding.declared().supply().form() == SupplyForm.CALL)
                .isPresent();
    }

    private AnswerKind answerKind() {
        return switch (kind) {
            case OBJECT, MOCK ->
                    standIn()
                            .orElse(
                                    blueprint
                                                    .filter(
                                                            blueprint ->
                                                                    blueprint.method().isPresent())
                                                    .isPresent()
                                            ? AnswerKind.FACTORY
                                            : AnswerKind.REAL);
            case VALUE -> standIn().orElse(isMadeByCall() ? AnswerKind.FACTORY : AnswerKind.VALUE);
            case ABSENT -> AnswerKind.ABSENT;
            case COLLECTION -> AnswerKind.COLLECTION;
            case ALIAS, BROKEN, UNMET, VALUE_MISSING, SEVERAL, NONE, OPTIONAL, DEFERRED ->
                    AnswerKind.UNMET;
        };
    }
}
