package dev.patientharbor.declared;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.model.Decorator;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.plan.Answer.Around;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.types.FitResult;
import java.util.List;
import java.util.Optional;

/**
 * One decorator of one slot, its name looked up.
 *
 * @param slot the slot that it decorates
 * @param declared what was declared
 * @param name the class, looked up; for a built-in one its word, which is no class
 * @param fit whether the class fits the contract; empty if it is not known
 * @param blueprint how it is made; empty if it does not fit
 * @param inner its needs that take what it wraps: one if all is well
 * @param valueFaults what is wrong with the values that it is given
 * @param builtIn what is built in, if it is
 * @param aroundInterface whether the contract is an interface
 */
public record ResolvedDecorator(
        Slot slot,
        Decorator declared,
        NameLookup name,
        Optional<FitResult> fit,
        Optional<Blueprint> blueprint,
        List<Need> inner,
        List<ValueFault> valueFaults,
        Optional<BuiltIn> builtIn,
        boolean aroundInterface) {

    /** Whether it can wrap something. */
    public boolean isUsable() {
        return builtIn.isPresent() ? aroundInterface : inner.size() == 1;
    }

    /** Whether it is meant to be a class, and there is none of that name. */
    public boolean isUnknown() {
        return name.facts().isEmpty() && !isWord();
    }

    /** Whether it is built in, or a word that drops one that is. */
    private boolean isWord() {
        return BuiltIn.NAMES.contains(name.written().text());
    }

    /** The binary name of the class, or the word of a built-in one, if it is known. */
    public Optional<String> dropName() {
        return isWord() ? Optional.of(name.written().text()) : name.facts().map(ClassFacts::name);
    }

    /** The binary name of the class, or a built-in one in words. */
    public String text() {
        return builtIn.map(BuiltIn::words)
                .or(() -> name.facts().map(ClassFacts::name))
                .orElse(name.written().text());
    }

    /** Returns this decorator as a roster shows it. */
    public Around around() {
        String given = declared.with().words(declared.constructor());
        return new Around(text(), given, declared.name().at());
    }

    /** Whether dropping the one drops the other. */
    public boolean isNamedAs(ResolvedDecorator other) {
        Optional<String> dropName = dropName();
        return dropName.isPresent() && dropName.equals(other.dropName());
    }
}
