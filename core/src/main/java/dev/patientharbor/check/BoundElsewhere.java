package dev.patientharbor.check;

import dev.patientharbor.resolve.ResolvedBinding;
import dev.patientharbor.resolve.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Where profiles bind a slot themselves, at whatever level; looked through once. */
final class BoundElsewhere {

    private final ResolvedSet set;

    /** By the slot in the whole profile, in the order of the profiles. */
    private final Map<Integer, List<Bound>> bySlot = new HashMap<>();

    private record Bound(ResolvedProfile profile, int slot, ResolvedBinding binding) {}

    BoundElsewhere(ResolvedSet set) {
        this.set = set;
        for (ResolvedProfile profile : set.profiles()) {
            for (ResolvedBinding binding : profile.own()) {
                binding.slot()
                        .ifPresent(
                                slot ->
                                        bySlot.computeIfAbsent(
                                                        set.slots().plain(slot),
                                                        one -> new ArrayList<>(1))
                                                .add(new Bound(profile, slot, binding)));
            }
        }
    }

    /** The profiles that bind a slot in the whole profile. */
    List<String> profiles(int slot) {
        return bySlot.getOrDefault(slot, List.of()).stream()
                .filter(one -> one.slot() == slot)
                .map(one -> one.profile().declared().name())
                .distinct()
                .toList();
    }

    /** Where a profile binds the slot of a seat, for others than a need of that seat. */
    List<String> outOfReach(ResolvedProfile profile, int seat) {
        return bySlot.getOrDefault(set.slots().plain(seat), List.of()).stream()
                .filter(one -> profile.isOrExtends(one.profile().number()))
                .filter(one -> profile.binding(one.slot()).isPresent())
                .map(
                        one ->
                                "bound for "
                                        + set.levelText(set.slots().level(one.slot()))
                                        + " at "
                                        + one.binding().declared().at().text())
                .distinct()
                .toList();
    }
}
