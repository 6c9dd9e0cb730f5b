package dev.patientharbor.terms;

import dev.patientharbor.texts.RequiredArgument;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * The thing that is bound: a contract and, where there are variants, a key.
 *
 * @param contract the type that consumers ask for
 * @param key the key; empty for the plain slot
 */
public record Slot(TypeRef contract, Optional<Key> key) {
    public Slot {
        RequiredArgument.of(contract, "contract");
        RequiredArgument.of(key, "key");
    }

    /** Sorts slots by contract; plain ones come before keyed ones, and these by key. */
    public static final Comparator<Slot> ORDER = Comparator.comparing(Slot::text);

    /** The plain slot of a class or interface. */
    public static Slot of(String contract) {
        RequiredArgument.of(contract, "contract");
        return new Slot(TypeRef.of(contract), Optional.empty());
    }

    /** The slot as a file writes it: {@code p.FeeSchedule@freight}. */
    public String text() {
        return text(name -> name);
    }

    /** Returns the slot as text, each class name written by the given function. */
    public String text(UnaryOperator<String> className) {
        RequiredArgument.of(className, "className");
        String type = contract.text(className);
        return key.isPresent() ? type + '@' + key.get().written() : type;
    }

    /** The slot as a file writes it. */
    @Override
    public String toString() {
        return text();
    }

    @Override
    public boolean equals(Object other) {
        return this == other
                || other instanceof Slot that
                        && contract.equals(that.contract)
                        && (key == that.key || key.equals(that.key));
    }

    @Override
    public int hashCode() {
        return 31 * contract.hashCode() + key.hashCode();
    }
}
