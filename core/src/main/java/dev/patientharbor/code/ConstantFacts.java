package dev.patientharbor.code;

import java.util.Optional;

/**
 * A constant in a body.
 *
 * @param text the text, the number, or the name of a static field
 * @param holder the enum whose static field it is, which may be one of its constants
 */
public record ConstantFacts(String text, Optional<String> holder) {

    static ConstantFacts plain(Object value) {
        return new ConstantFacts(String.valueOf(value), Optional.empty());
    }

    /** Makes the constant that is a static field of the type that holds it. */
    static ConstantFacts field(String internalOwner, String name) {
        return new ConstantFacts(name, Optional.of(FactsCollector.className(internalOwner)));
    }

    /** The constant as a key; empty if it is a field that is no constant of its enum. */
    public Optional<String> key(CodeIndex code) {
        boolean known =
                holder.isEmpty()
                        || code.find(holder.get())
                                .filter(facts -> facts.enumConstants().contains(text))
                                .isPresent();
        return known ? Optional.of(text) : Optional.empty();
    }
}
