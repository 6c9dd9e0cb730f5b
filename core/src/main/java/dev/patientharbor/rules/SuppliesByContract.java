package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What one profile supplies, by contract: its bindings, used or not, and what is reached besides.
 */
final class SuppliesByContract {

    /**
     * A slot that is supplied.
     *
     * @param isAlias whether a binding has another slot stand in for it
     */
    record SlotSupply(int slot, boolean isBound, boolean isAlias) {}

    private final List<SlotSupply> all = new ArrayList<>();
    private final Map<TypeRef, List<SlotSupply>> byContract = new HashMap<>();

    SuppliesByContract(ResolvedSet set, Wiring wiring) {
        for (ResolvedBinding binding : wiring.profile().bindings()) {
            boolean isAlias = binding.target().isPresent();
            add(set, new SlotSupply(binding.slot().orElseThrow(), true, isAlias));
        }
        for (int i = 0; i < wiring.reachedSize(); i++) {
            int seat = wiring.reached(i);
            if (wiring.outcome(seat).binding().isEmpty()) {
                add(set, new SlotSupply(seat, false, false));
            }
        }
    }

    private void add(ResolvedSet set, SlotSupply supply) {
        all.add(supply);
        byContract
                .computeIfAbsent(
                        set.slots().slot(supply.slot()).contract(), type -> new ArrayList<>(1))
                .add(supply);
    }

    List<SlotSupply> all() {
        return all;
    }

    List<SlotSupply> of(TypeRef contract) {
        return byContract.getOrDefault(contract, List.of());
    }
}
