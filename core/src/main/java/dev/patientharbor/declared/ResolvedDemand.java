package dev.patientharbor.declared;

import dev.patientharbor.model.Demand;
import dev.patientharbor.names.NameLookup;
import java.util.List;
import java.util.Optional;

/**
 * A rule of a profile, names looked up.
 *
 * @param declared what was declared
 * @param names every class name in it, looked up
 * @param slot the number of the slot in the whole profile, if it is of one and its names are known
 */
public record ResolvedDemand(Demand declared, List<NameLookup> names, Optional<Integer> slot) {
    public ResolvedDemand {
        names = List.copyOf(names);
    }

    public RuleSubject subject() {
        return new RuleSubject(declared.kind(), slot);
    }
}
