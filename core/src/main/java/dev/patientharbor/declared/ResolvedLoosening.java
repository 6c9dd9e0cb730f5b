package dev.patientharbor.declared;

import dev.patientharbor.model.Loosening;
import dev.patientharbor.names.NameLookup;
import java.util.List;
import java.util.Optional;

/**
 * A rule that is loosened, names looked up.
 *
 * @param declared what was declared
 * @param names every class name in it, looked up
 * @param slot the number of the slot in the whole profile, if it is of one and its names are known
 */
public record ResolvedLoosening(
        Loosening declared, List<NameLookup> names, Optional<Integer> slot) {
    public ResolvedLoosening {
        names = List.copyOf(names);
    }

    /** Returns the subject: it loosens the rules of the same one. */
    public RuleSubject subject() {
        return new RuleSubject(declared.kind(), slot);
    }
}
