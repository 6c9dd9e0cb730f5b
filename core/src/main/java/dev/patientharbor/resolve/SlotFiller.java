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
        return unbound(slots.slot(slot), profile.decorators(slot));
    }

    private static Outcome bound(int slot, ResolvedBinding binding, ResolvedProfile profile) {
        if (binding.isBroken()) {
            return Outcome.broken(binding);
        }
        if (binding.target().isPresent()) {
            return Outcome.alias(Optional.of(binding), binding.target().get());
        }
        List<ResolvedDecorator> decorators =
                profile.decorators(slot).stream().filter(ResolvedDecorator::isUsable).toList();
        return binding.blueprint()
                .map(blueprint -> Outcome.object(Optional.of(binding), blueprint, decorators))
                .orElseGet(() -> Outcome.mock(binding, decorators));
    }

    /** The bound slots of the same class and key that fit, where none is bound exactly. */
    private List<Integer> fitting(int number, ResolvedProfile profile) {
        Slot slot = slots.slot(number);
        if (!(slot.contract() instanceof ClassType wanted)) {
            return List.of();
        }
        List<Integer> fitting = new ArrayList<>(0);
        for (int other : slots.ofSameClass(number)) {
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

    private Outcome unbound(Slot slot, List<ResolvedDecorator> declared) {
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
        List<ResolvedDecorator> decorators =
                declared.stream().filter(ResolvedDecorator::isUsable).toList();
        return slot.key().isPresent()
                ? Outcome.nothing(Outcome.Kind.UNMET)
                : Outcome.object(Optional.empty(), blueprints.of(facts.get(), type), decorators);
    }

    private static boolean isConcrete(ClassFacts facts) {
        return !facts.isInterface() && !facts.isAbstract() && !facts.isEnum();
    }
}
