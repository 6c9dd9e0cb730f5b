package dev.patientharbor.model;

import dev.patientharbor.finding.Where;
import java.util.List;
import java.util.Optional;

/**
 * "This slot is filled by this supply."
 *
 * @param slot what is bound
 * @param supply what fills it
 * @param with values for the constructor
 * @param lifetime how long an instance lives, if the binding says so
 * @param constructor the parameter types of the constructor to use, if the binding says so
 * @param at where it stands
 */
public record Binding(
        Slot slot,
        Supply supply,
        With with,
        Optional<Lifetime> lifetime,
        Optional<List<String>> constructor,
        Where at) {
    public Binding {
        constructor = constructor.map(List::copyOf);
    }

    /** Whether two bindings say the same, wherever they stand. */
    public boolean saysTheSameAs(Binding other) {
        return slot.equals(other.slot)
                && supply.says().equals(other.supply.says())
                && with.says().equals(other.with.says())
                && lifetime.equals(other.lifetime)
                && constructor.equals(other.constructor);
    }
}
