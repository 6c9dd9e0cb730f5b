package dev.patientharbor.wiring;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.SupplyForm;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.BlueprintMaker;
import dev.patientharbor.needs.FactoryReader;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.types.Carrier;
import dev.patientharbor.types.ValueTypes;
import dev.patientharbor.wiring.SlotFinder.FoundBinding;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Decides what fills a slot at a level: its binding, a wrapping around other slots, one that fits,
 * the class itself, or nothing.
 */
public final class SlotFiller {

    private static final String SET = "java.util.Set";

    private final CodeIndex code;
    private final SlotTable slots;
    private final SlotFinder finder;
    private final BlueprintMaker blueprints;
    private final ValueTypes values;
    private final MemberFinder members;
    private final FactoryReader factories;
    private final FillInFinder fillIn;
    private final LifetimeResolver lifetimes;

    /** What the stated consumers ask for, by their names. */
    private final Map<String, Blueprint> stated = new HashMap<>();

    /** What fills a slot that nothing binds and nothing decorates: the same in every profile. */
    private SlotOutcome[] bare = new SlotOutcome[64];

    /** What fills the slot of a binding where nothing decorates it: the same in every profile. */
    private final Map<ResolvedBinding, SlotOutcome> bareByBinding = new HashMap<>();

    public SlotFiller(
            CodeIndex code,
            SlotTable slots,
            SlotFinder finder,
            BlueprintMaker blueprints,
            FactoryReader factories,
            FillInFinder fillIn,
            LifetimeResolver lifetimes) {
        this.lifetimes = lifetimes;
        this.factories = factories;
        this.fillIn = fillIn;
        this.code = code;
        this.slots = slots;
        this.finder = finder;
        this.blueprints = blueprints;
        values = new ValueTypes(code);
        members = new MemberFinder(slots, finder, fillIn, values);
    }

    /** Has a consumer stand for itself under its name, whatever it is. */
    public void state(String name, Blueprint consumer) {
        stated.put(name, consumer);
    }

    SlotFinder finder() {
        return finder;
    }

    LifetimeResolver lifetimes() {
        return lifetimes;
    }

    BlueprintMaker blueprints() {
        return blueprints;
    }

    /** What stands in a seat, which is a slot at a level. */
    SlotOutcome fill(int seat, ResolvedProfile profile) {
        BindingLevel level = slots.level(seat);
        if (level.isCore()) {
            return profile.binding(slots.at(seat, level.statedAt())).map(this::bare).orElseThrow();
        }
        Optional<Integer> variant = level.variantSlot();
        if (variant.isPresent() && Carrier.of(slots.slot(seat).contract()).isEmpty()) {
            return variant(seat, variant.get(), profile);
        }
        if (level.isWhole() && profile.isUndecorated()) {
            // The usual case, once for each slot of each profile: nothing is made anew.
            Optional<ResolvedBinding> binding = profile.binding(seat);
            if (binding.isPresent() && binding.get().standsAlone()) {
                return bare(binding.get());
            }
            if (binding.isEmpty() && slots.standsAlone(seat)) {
                SlotOutcome bare = bare(seat);
                if (!fillIn.isAllowed()
                        || bare.kind() != SlotOutcome.Kind.UNMET
                                && !fillIn.isMade(slots.slot(seat))) {
                    return bare;
                }
            }
        }
        Optional<FoundBinding> found =
                level.isWhole()
                        ? profile.binding(seat)
                                .map(binding -> new FoundBinding(binding, slots.whole()))
                        : finder.find(slots.wholeSlot(seat), level, profile);
        if (found.isPresent()) {
            return fillBound(seat, found.get(), profile);
        }
        Optional<Carrier> carrier = Carrier.of(slots.slot(seat).contract());
        if (carrier.isPresent()) {
            return fillWrapping(seat, carrier.get(), profile);
        }
        List<Integer> fitting =
                finder.fitting(seat, level, profile).stream()
                        .map(other -> finder.ask(other, level, profile))
                        .toList();
        if (!fitting.isEmpty()) {
            return fitting.size() == 1
                    ? SlotOutcome.alias(Optional.empty(), fitting.get(0))
                    : SlotOutcome.several(fitting);
        }
        if (!level.reachesWhole()) {
            return SlotOutcome.nothing(SlotOutcome.Kind.UNMET);
        }
        List<ResolvedDecorator> decorators = usable(seat, profile);
        SlotOutcome outcome =
                decorators.isEmpty()
                        ? bare(slots.wholeSlot(seat))
                        : fillUnbound(slots.slot(seat), decorators);
        if (!fillIn.isAllowed()) {
            return outcome;
        }
        Slot slot = slots.slot(seat);
        if (outcome.kind() == SlotOutcome.Kind.UNMET) {
            return filledIn(fillIn.of(slot).fit(), outcome, decorators);
        }
        return fillIn.isMade(slot)
                ? filledIn(fillIn.of(slot).makers().fit(), outcome, decorators)
                : outcome;
    }

    /** What classes of the code give to a slot that nothing binds. */
    private SlotOutcome filledIn(
            List<FillInFinder.Candidate> fit,
            SlotOutcome otherwise,
            List<ResolvedDecorator> decorators) {
        List<FillInFinder.Candidate> candidates =
                fit.stream().filter(candidate -> !candidate.isAmong(decorators)).toList();
        if (candidates.isEmpty()) {
            return otherwise;
        }
        List<Integer> seats =
                candidates.stream().map(candidate -> slots.number(candidate.ownSlot())).toList();
        if (seats.size() > 1) {
            return SlotOutcome.several(seats);
        }
        FillInFinder.Candidate only = candidates.get(0);
        if (only.isMaker()) {
            ClassFacts maker = only.facts();
            return SlotOutcome.object(
                            Optional.empty(),
                            Blueprint.byMethod(
                                    maker,
                                    "get",
                                    Optional.empty(),
                                    List.of(factories.object(maker)),
                                    Optional.empty()),
                            decorators)
                    .filledIn(only.by());
        }
        if (decorators.isEmpty()) {
            return SlotOutcome.filledIn(only.by(), seats.get(0));
        }
        return bare(seats.get(0)).inLayers(seats.get(0), decorators).filledIn(only.by());
    }

    /** One of several classes that fill a slot as members of a collection. */
    private SlotOutcome variant(int seat, int own, ResolvedProfile profile) {
        BindingLevel level = slots.level(seat).parent();
        List<ResolvedDecorator> decorators = usable(slots.at(seat, level), profile);
        FillInSource by = fillIn.allows(slots.slot(seat), slots.slot(own));
        return decorators.isEmpty()
                ? SlotOutcome.filledIn(by, own)
                : bare(own).inLayers(own, decorators).filledIn(by);
    }

    private SlotOutcome bare(ResolvedBinding binding) {
        return bareByBinding.computeIfAbsent(binding, it -> SlotOutcome.ofBinding(it, List.of()));
    }

    private SlotOutcome bare(int slot) {
        if (slot >= bare.length) {
            bare = Arrays.copyOf(bare, slots.size() + slots.size() / 2);
        }
        if (bare[slot] == null) {
            bare[slot] = fillUnbound(slots.slot(slot), List.of());
        }
        return bare[slot];
    }

    private static List<ResolvedDecorator> usable(int seat, ResolvedProfile profile) {
        List<ResolvedDecorator> declared = profile.decorators(seat);
        return declared.isEmpty()
                ? declared
                : declared.stream().filter(ResolvedDecorator::isUsable).toList();
    }

    private SlotOutcome fillBound(int seat, FoundBinding found, ResolvedProfile profile) {
        ResolvedBinding binding = found.binding();
        if (binding.target().isPresent() && !binding.isBroken()) {
            return SlotOutcome.alias(Optional.of(binding), aliasSeat(seat, found, profile));
        }
        if (binding.declared().supply().form() == SupplyForm.MEMBERS && !binding.isBroken()) {
            List<Integer> members = members(seat, binding, profile);
            boolean isSet = SlotTable.className(slots.slot(seat).contract()).equals(SET);
            return SlotOutcome.collection(
                    Optional.of(binding), isSet ? eachOnce(members, profile) : members);
        }
        List<ResolvedDecorator> decorators = usable(seat, profile);
        SlotOutcome outcome =
                decorators.isEmpty() ? bare(binding) : SlotOutcome.ofBinding(binding, decorators);
        return found.level() == slots.level(seat) || !outcome.isMet()
                ? outcome
                : outcome.inLayers(slots.at(seat, found.level().core()), outcome.decorators());
    }

    /**
     * The seats of listed members, wrapped as the collection wraps its own, seen from the asker.
     */
    private List<Integer> members(int seat, ResolvedBinding binding, ResolvedProfile profile) {
        TypeRef content = Carrier.of(slots.slot(seat).contract()).orElseThrow().content();
        return binding.members().stream()
                .map(slots::slot)
                .map(slot -> new Slot(Carrier.around(content, slot.contract()), slot.key()))
                .map(slot -> finder.ask(slots.number(slot), slots.level(seat), profile))
                .toList();
    }

    /** Where an alias aims: looked up from the asker; the slot itself means the next level out. */
    private int aliasSeat(int seat, FoundBinding found, ResolvedProfile profile) {
        int target = found.binding().target().orElseThrow();
        boolean itself = target == slots.wholeSlot(seat);
        if (itself && found.level().isWhole()) {
            return seat;
        }
        BindingLevel level = slots.level(seat);
        return finder.ask(target, itself ? level.outside(found.level()) : level, profile);
    }

    private SlotOutcome fillWrapping(int seat, Carrier carrier, ResolvedProfile profile) {
        BindingLevel level = slots.level(seat);
        Slot slot = slots.slot(seat);
        int content = slots.number(new Slot(carrier.content(), slot.key()));
        return switch (carrier.kind()) {
            case OPTIONAL -> {
                int inside = finder.ask(content, level, profile);
                yield isNothing(inside, profile)
                        ? SlotOutcome.nothing(SlotOutcome.Kind.ABSENT)
                        : SlotOutcome.wrapping(SlotOutcome.Kind.OPTIONAL, inside);
            }
            case DEFERRED ->
                    SlotOutcome.wrapping(
                            SlotOutcome.Kind.DEFERRED, finder.ask(content, level, profile));
            case COLLECTION ->
                    several(
                            slot,
                            carrier,
                            eachOnce(members.of(carrier, slot.key(), level, profile), profile));
            case MAP -> several(slot, carrier, members.of(carrier, slot.key(), level, profile));
        };
    }

    private SlotOutcome several(Slot slot, Carrier carrier, List<Integer> members) {
        boolean ofValues = members.isEmpty() && values.isValue(slot.contract());
        return ofValues || carrier.content() instanceof TypeRef.Primitive
                ? SlotOutcome.nothing(SlotOutcome.Kind.VALUE_MISSING)
                : SlotOutcome.collection(Optional.empty(), members);
    }

    /** The members without those that are an instance which another one is already. */
    private List<Integer> eachOnce(List<Integer> members, ResolvedProfile profile) {
        Set<Object> instances = new HashSet<>();
        return members.stream().filter(member -> instances.add(instance(member, profile))).toList();
    }

    /** What two seats have in common that hand out one instance. */
    private Object instance(int seat, ResolvedProfile profile) {
        int at = seat;
        for (int steps = 0; steps < slots.size(); steps++) {
            SlotOutcome outcome = fill(at, profile);
            if (outcome.next().isEmpty()) {
                boolean isOne =
                        outcome.isMet() && lifetimes.of(outcome, profile).lifetime().isKept();
                Object own = isOne ? at : "alone " + seat;
                return outcome.decorators().isEmpty()
                        ? lifetimes.oneOfClass(outcome).map(Object.class::cast).orElse(own)
                        : own;
            }
            at = outcome.next().get();
        }
        return seat;
    }

    /** Whether nothing stands in a seat, or in the one that stands in for it or is in it. */
    private boolean isNothing(int seat, ResolvedProfile profile) {
        int at = seat;
        for (int steps = 0; steps < slots.size(); steps++) {
            SlotOutcome outcome = fill(at, profile);
            if (outcome.next().isEmpty()) {
                return outcome.isNothing();
            }
            at = outcome.next().get();
        }
        return false;
    }

    private SlotOutcome fillUnbound(Slot slot, List<ResolvedDecorator> decorators) {
        TypeRef contract = slot.contract();
        Blueprint consumer =
                slot.key().isEmpty() ? stated.get(SlotTable.className(contract)) : null;
        if (consumer != null) {
            return SlotOutcome.object(Optional.empty(), consumer, decorators);
        }
        if (values.isValue(contract)) {
            return SlotOutcome.nothing(SlotOutcome.Kind.VALUE_MISSING);
        }
        if (!(contract instanceof ClassType type)) {
            return SlotOutcome.nothing(SlotOutcome.Kind.UNMET);
        }
        Optional<ClassFacts> facts = code.find(type.name()).filter(SlotFiller::isConcrete);
        if (facts.isEmpty()) {
            return SlotOutcome.nothing(SlotOutcome.Kind.UNMET);
        }
        if (!code.inCode(type.name())) {
            return SlotOutcome.nothing(SlotOutcome.Kind.VALUE_MISSING);
        }
        return slot.key().isPresent()
                ? SlotOutcome.nothing(SlotOutcome.Kind.UNMET)
                : SlotOutcome.object(
                        Optional.empty(), blueprints.of(facts.get(), type), decorators);
    }

    private static boolean isConcrete(ClassFacts facts) {
        return !facts.isInterface() && !facts.isAbstract() && !facts.isEnum();
    }
}
