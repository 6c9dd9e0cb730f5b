package dev.patientharbor.resolve;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.model.Slot;
import dev.patientharbor.names.Lookup;
import dev.patientharbor.types.Fit;
import java.util.List;
import java.util.Optional;

/**
 * One decorator of one slot, its name looked up.
 *
 * @param slot the slot that it decorates
 * @param name the class, looked up
 * @param fit whether the class fits the contract; empty if it is not known
 * @param blueprint how it is made; empty if it does not fit
 * @param inner its needs that take what it wraps: one if all is well
 */
public record ResolvedDecorator(
        Slot slot,
        Lookup name,
        Optional<Fit> fit,
        Optional<Blueprint> blueprint,
        List<Need> inner) {

    /** Whether it can wrap something. */
    public boolean isUsable() {
        return inner.size() == 1;
    }

    /** The binary name of the class, if it is known. */
    Optional<String> className() {
        return name.facts().map(ClassFacts::name);
    }

    boolean isOfSameClassAs(ResolvedDecorator other) {
        Optional<String> className = className();
        return className.isPresent() && className.equals(other.className());
    }
}
