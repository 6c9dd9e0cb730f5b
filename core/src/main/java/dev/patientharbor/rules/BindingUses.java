package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.model.SupplyEffect;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.SlotOutcome.Kind;
import dev.patientharbor.wiring.Wiring;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;

/** Knows which bindings the wiring of one profile uses, at whatever level they are asked for. */
final class BindingUses {

    private final ResolvedSet set;
    private final Wiring wiring;
    private final Set<ResolvedBinding> atLevels =
            Collections.newSetFromMap(new IdentityHashMap<>());

    BindingUses(ResolvedSet set, Wiring wiring) {
        this.set = set;
        this.wiring = wiring;
        if (!wiring.profile().statesWholeProfileOnly()) {
            for (int i = 0; i < wiring.reachedSize(); i++) {
                wiring.outcome(wiring.reached(i)).binding().ifPresent(atLevels::add);
            }
        }
    }

    /** Whether a binding holds, and fills what is asked for or turns it down. */
    boolean has(ResolvedBinding binding) {
        int seat = binding.slot().orElseThrow();
        boolean holds = wiring.profile().binding(seat).filter(held -> held == binding).isPresent();
        return holds
                && (wiring.isReached(seat)
                        || atLevels.contains(binding)
                        || leavesOut(binding) && isConsidered(seat));
    }

    private boolean leavesOut(ResolvedBinding binding) {
        return binding.target().isPresent()
                || binding.declared().supply().effect() == SupplyEffect.LEAVES_EMPTY
                || set.lifetimes()
                        .oneOfClass(SlotOutcome.ofBinding(binding, List.of()))
                        .isPresent();
    }

    /**
     * Returns whether a binding is looked at though it hands out nothing: what is a member by
     * another slot already, or absent on purpose.
     */
    private boolean isConsidered(int slot) {
        for (int i = 0; i < wiring.reachedSize(); i++) {
            int seat = wiring.reached(i);
            Kind kind = wiring.outcome(seat).kind();
            if ((kind == Kind.ABSENT || kind == Kind.COLLECTION)
                    && set.slots().slot(slot).contract().equals(set.content(seat))) {
                return true;
            }
        }
        return false;
    }
}
