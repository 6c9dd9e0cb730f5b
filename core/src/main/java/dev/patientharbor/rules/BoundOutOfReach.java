package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Where profiles bind the slot of a need, for others than that need; looked through once. */
final class BoundOutOfReach {

    private final ResolvedSet set;

    /** By the slot in the whole profile, in the order of the profiles. */
    private final Map<Integer, List<BindingOutOfReach>> bySlot = new HashMap<>();

    private record BindingOutOfReach(ResolvedProfile profile, int slot, ResolvedBinding binding) {}

    BoundOutOfReach(ResolvedSet set) {
        this.set = set;
        for (ResolvedProfile profile : set.profiles()) {
            for (ResolvedBinding binding : profile.ownBindings()) {
                binding.slot()
                        .ifPresent(
                                slot ->
                                        bySlot.computeIfAbsent(
                                                        set.slots().wholeSlot(slot),
                                                        key -> new ArrayList<>(1))
                                                .add(
                                                        new BindingOutOfReach(
                                                                profile, slot, binding)));
            }
        }
    }

    /** Where a profile binds the slot of a seat, for others than a need of that seat. */
    List<String> of(ResolvedProfile profile, int seat) {
        return bySlot.getOrDefault(set.slots().wholeSlot(seat), List.of()).stream()
                .filter(binding -> profile.isOrExtends(binding.profile().profileNumber()))
                .filter(binding -> profile.binding(binding.slot()).isPresent())
                .map(
                        binding ->
                                "bound for "
                                        + set.levelText(set.slots().level(binding.slot()))
                                        + " at "
                                        + binding.binding().declared().at().text())
                .distinct()
                .toList();
    }
}
