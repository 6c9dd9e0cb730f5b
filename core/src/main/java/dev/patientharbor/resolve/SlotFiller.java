package dev.patientharbor.resolve;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.TypeRef;
import dev.patientharbor.model.TypeRef.ClassType;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Decides what fills a slot in a profile: its binding, one that fits, the class itself, or nothing.
 */
final class SlotFiller {

    private final CodeIndex code;
    private final SlotTable slots;
    private final Generics generics;
    private final Blueprints blueprints;
    private final ValueTypes values;

    /** What fills a slot that nothing binds and nothing decorates: the same in every profile. */
    private final List<Outcome> bare = new ArrayList<>();

    SlotFiller(CodeIndex code, SlotTable slots, Generics generics, Blueprints blueprints) {
        this.code = code;
        this.slots = slots;
        this.generics = generics;
        this.blueprints = blueprints;
        values = new ValueTypes(code);
    }

    Outcome fill(int slot, ResolvedProfile profile) {
        Optional<ResolvedBinding> binding = profile.binding(slot);
        if (binding.isPresent()) {
            return bound(slot, binding.get(), profile);
        }
        List<Integer> fitting = fitting(slot, profile);
        if (!fitting.isEmpty()) {
            return fitting.size() == 1
                    ? Outcome.alias(Optional.empty(), fitting.get(0))
                    : Outcome.several(fitting);
        }
        List<ResolvedDecorator> decorators = usable(slot, profile);
        return decorators.isEmpty() ? bare(slot) : unbound(slots.slot(slot), decorators);
    }

    private Outcome bare(int slot) {
        while (bare.size() <= slot) {
            bare.add(null);
        }
        if (bare.get(slot) == null) {
            bare.set(slot, unbound(slots.slot(slot), List.of()));
        }
        return bare.get(slot);
    }

    private static List<ResolvedDecorator> usable(int slot, ResolvedProfile profile) {
        List<ResolvedDecorator> declared = profile.decorators(slot);
        return declared.isEmpty()
                ? declared
                : declared.stream().filter(ResolvedDecorator::isUsable).toList();
    }

    private static Outcome bound(int slot, ResolvedBinding binding, ResolvedProfile profile) {
        List<ResolvedDecorator> decorators = usable(slot, profile);
        return decorators.isEmpty() ? binding.bareOutcome() : bound(binding, decorators);
    }

    /** What a binding makes of its slot, with the given decorators around it. */
    static Outcome bound(ResolvedBinding binding, List<ResolvedDecorator> decorators) {
        if (binding.isBroken()) {
            return Outcome.broken(binding);
        }
        if (binding.target().isPresent()) {
            return Outcome.alias(Optional.of(binding), binding.target().get());
        }
        return binding.blueprint()
                .map(blueprint -> Outcome.object(Optional.of(binding), blueprint, decorators))
                .orElseGet(() -> Outcome.mock(binding, decorators));
    }

    /** The bound slots of the same class and key that fit, where none is bound exactly. */
    private List<Integer> fitting(int number, ResolvedProfile profile) {
        Slot slot = slots.slot(number);
        List<Integer> sameClass = slots.ofSameClass(number);
        if (sameClass.size() == 1 || !(slot.contract() instanceof ClassType wanted)) {
            return List.of();
        }
        List<Integer> fitting = new ArrayList<>(0);
        for (int other : sameClass) {
            Slot candidate = slots.slot(other);
            if (other != number
                    && candidate.key().equals(slot.key())
                    && profile.binding(other).isPresent()) {
                boolean raw =
                        candidate.contract() instanceof ClassType type
                                && type.arguments().isEmpty();
                if (raw || isOpen(wanted) && generics.allows(wanted, candidate.contract())) {
                    fitting.add(other);
                }
            }
        }
        return fitting;
    }

    private static boolean isOpen(ClassType type) {
        return type.arguments().isEmpty() || !type.isExact();
    }

    private Outcome unbound(Slot slot, List<ResolvedDecorator> decorators) {
        TypeRef contract = slot.contract();
        if (values.isValue(contract)) {
            return Outcome.nothing(Outcome.Kind.VALUE_MISSING);
        }
        if (!(contract instanceof ClassType type)) {
            return Outcome.nothing(Outcome.Kind.UNMET);
        }
        Optional<ClassFacts> facts = code.find(type.name()).filter(SlotFiller::isConcrete);
        if (facts.isEmpty()) {
            return Outcome.nothing(Outcome.Kind.UNMET);
        }
        if (!code.inCode(type.name())) {
            return Outcome.nothing(Outcome.Kind.VALUE_MISSING);
        }
        return slot.key().isPresent()
                ? Outcome.nothing(Outcome.Kind.UNMET)
                : Outcome.object(Optional.empty(), blueprints.of(facts.get(), type), decorators);
    }

    private static boolean isConcrete(ClassFacts facts) {
        return !facts.isInterface() && !facts.isAbstract() && !facts.isEnum();
    }
}
