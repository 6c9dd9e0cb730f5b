package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.wiring.SlotOutcome.Kind;
import dev.patientharbor.wiring.Wiring;
import java.util.Collections;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.Set;
import java.util.function.Predicate;

/** Knows which bindings the wiring of one profile uses, at whatever level they are asked for. */
final class BindingUses {

    private final ResolvedSet set;
    private final Wiring wiring;
    private final Set<ResolvedBinding> atLevels =
            Collections.newSetFromMap(new IdentityHashMap<>());

    private Set<TypeRef> considered;

    BindingUses(ResolvedSet set, Wiring wiring) {
        this.set = set;
        this.wiring = wiring;
        if (!wiring.profile().statesWholeProfileOnly()) {
            for (int i = 0; i < wiring.reachedSize(); i++) {
                wiring.outcome(wiring.reached(i)).binding().ifPresent(atLevels::add);
            }
        }
    }

    /**
     * Whether a binding holds, and fills what is asked for or turns it down.
     *
     * @param mayHandOutNothing whether it may be looked at though it hands out nothing
     */
    boolean has(ResolvedBinding binding, Predicate<ResolvedBinding> mayHandOutNothing) {
        int seat = binding.slot().orElseThrow();
        boolean holds = wiring.profile().binding(seat).filter(held -> held == binding).isPresent();
        return holds
                && (wiring.isReached(seat)
                        || atLevels.contains(binding)
                        || mayHandOutNothing.test(binding)
                                && considered().contains(set.slots().slot(seat).contract()));
    }

    /**
     * The contracts of which bindings are looked at though they hand out nothing: what is a member
     * by another slot already, or absent on purpose.
     */
    private Set<TypeRef> considered() {
        if (considered == null) {
            considered = new HashSet<>();
            for (int i = 0; i < wiring.reachedSize(); i++) {
                int seat = wiring.reached(i);
                Kind kind = wiring.outcome(seat).kind();
                if (kind == Kind.ABSENT || kind == Kind.COLLECTION) {
                    considered.add(set.content(seat));
                }
            }
        }
        return considered;
    }
}
