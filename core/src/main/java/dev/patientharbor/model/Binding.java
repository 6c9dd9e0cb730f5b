package dev.patientharbor.model;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.Grounds;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.Slot;
import java.util.List;
import java.util.Optional;

/**
 * "This slot is filled by this supply."
 *
 * @param slot what is bound
 * @param supply what fills it
 * @param with values for the constructor
 * @param lifetime how long an instance lives, if the binding says so
 * @param keepsValues whether the values of the inherited binding hold where this one gives none
 * @param constructor the parameter types of the constructor to use, if the binding says so
 * @param grounds why it is so, if it is not to stay
 * @param at where it stands
 */
public record Binding(
        Slot slot,
        Supply supply,
        GivenArguments with,
        Optional<Lifetime> lifetime,
        boolean keepsValues,
        Optional<List<String>> constructor,
        Grounds grounds,
        SourcePosition at) {
    public Binding {
        constructor = constructor.map(List::copyOf);
    }

    /**
     * Returns this change put upon an inherited binding, or this replacement with the values that
     * it keeps.
     */
    public Binding laidOver(Binding inherited) {
        boolean part = supply.effect() == SupplyEffect.KEEPS;
        GivenArguments values = part || keepsValues ? inherited.with.changedBy(with) : with;
        return new Binding(
                slot,
                part ? inherited.supply : supply,
                values,
                part ? lifetime.or(inherited::lifetime) : lifetime,
                false,
                part ? constructor.or(inherited::constructor) : constructor,
                part ? grounds.or(inherited.grounds) : grounds,
                at);
    }

    /** Returns whether it only changes a part of an inherited binding. */
    public boolean needsInherited() {
        return keepsValues || supply.effect() == SupplyEffect.KEEPS;
    }

    /** Whether two bindings say the same, wherever they stand. */
    public boolean saysTheSameAs(Binding other) {
        return slot.equals(other.slot)
                && supply.isSameAs(other.supply)
                && with.canonicalText().equals(other.with.canonicalText())
                && lifetime.equals(other.lifetime)
                && constructor.equals(other.constructor);
    }
}
