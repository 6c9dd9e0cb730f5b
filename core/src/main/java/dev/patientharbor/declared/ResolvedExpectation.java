package dev.patientharbor.declared;

import dev.patientharbor.model.Expectation;
import dev.patientharbor.names.NameLookup;
import java.util.List;
import java.util.Optional;

/**
 * What a profile expects, names looked up.
 *
 * @param declared what was declared
 * @param names every class name in it, looked up
 * @param consumer the class that asks, if it is known
 * @param slot the number of the slot, if its names are known
 */
public record ResolvedExpectation(
        Expectation declared,
        List<NameLookup> names,
        Optional<String> consumer,
        Optional<Integer> slot) {
    public ResolvedExpectation {
        names = List.copyOf(names);
    }
}
