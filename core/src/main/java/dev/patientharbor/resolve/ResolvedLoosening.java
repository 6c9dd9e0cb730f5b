package dev.patientharbor.resolve;

import dev.patientharbor.model.Loosening;
import dev.patientharbor.names.Lookup;
import java.util.List;
import java.util.Optional;

/**
 * A rule that is loosened, names looked up.
 *
 * @param declared what was declared
 * @param names every class name in it, looked up
 * @param slot the number of the slot in the whole profile, if it is of one and its names are known
 */
public record ResolvedLoosening(Loosening declared, List<Lookup> names, Optional<Integer> slot) {
    public ResolvedLoosening {
        names = List.copyOf(names);
    }

    boolean loosens(ResolvedDemand demand) {
        return declared.kind() == demand.declared().kind() && slot.equals(demand.slot());
    }
}
