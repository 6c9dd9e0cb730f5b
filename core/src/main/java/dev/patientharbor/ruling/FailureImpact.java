package dev.patientharbor.ruling;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** Walks a wiring against its arrows: who asks for a slot, and which entry consumers lead there. */
public final class FailureImpact {

    private final ResolvedSet set;
    private final Map<Integer, List<Arrow>> into = new HashMap<>();
    private final Set<Integer> entries;

    /** The seats of a slot, by where profiles say what fills them. */
    private final Map<Integer, List<Integer>> seatsByBoundSlot = new HashMap<>();

    /** What fails touches nobody. */
    static final TouchedConsumers NOBODY = new TouchedConsumers(List.of(), List.of());

    /**
     * The consumers that ask for a failing slot and the entry consumers above them, each list
     * sorted.
     */
    public record TouchedConsumers(List<String> consumers, List<String> entries) {
        public Finding addedTo(Finding finding) {
            return finding.touching(consumers, entries);
        }
    }

    /**
     * Where an arrow comes from; the consumer is empty where one slot stands in for another or
     * wraps it.
     */
    private record Arrow(int from, String consumer) {}

    FailureImpact(ResolvedSet set, Wiring wiring) {
        this.set = set;
        entries = new HashSet<>(wiring.entries());
        for (int i = 0; i < wiring.reachedSize(); i++) {
            int seat = wiring.reached(i);
            seatsByBoundSlot
                    .computeIfAbsent(set.boundSlot(seat), key -> new ArrayList<>(1))
                    .add(seat);
            if (!set.slots().level(seat).isWhole() && isOfWhole(wiring.outcome(seat))) {
                seatsByBoundSlot
                        .computeIfAbsent(set.slots().wholeSlot(seat), key -> new ArrayList<>(1))
                        .add(seat);
            }
            Set<Integer> needs = new HashSet<>();
            for (int asked : wiring.needs(seat)) {
                needs.add(asked);
            }
            for (int to : wiring.leadsTo(seat, true)) {
                if (!needs.contains(to)) {
                    add(to, new Arrow(seat, ""));
                }
            }
            wiring.eachNeed(
                    seat,
                    (consumer, need, asked) -> add(asked, new Arrow(seat, consumer.className())));
        }
    }

    /** Whether what stands at a level is but what the whole profile says. */
    private boolean isOfWhole(SlotOutcome outcome) {
        return outcome.binding()
                .flatMap(ResolvedBinding::slot)
                .map(slot -> set.slots().level(slot).isWhole())
                .orElse(true);
    }

    private void add(int slot, Arrow arrow) {
        into.computeIfAbsent(slot, key -> new ArrayList<>(2)).add(arrow);
    }

    /** Finds the consumers that fail if these slots fail. */
    public TouchedConsumers of(List<Integer> slots) {
        Set<Integer> failing = new HashSet<>(slots);
        slots.forEach(slot -> failing.addAll(seatsByBoundSlot.getOrDefault(slot, List.of())));
        List<Integer> open = new ArrayList<>(failing);
        TreeSet<String> consumers = new TreeSet<>();
        TreeSet<String> touchedEntries = new TreeSet<>();
        Set<Integer> seen = new HashSet<>(failing);
        for (int i = 0; i < open.size(); i++) {
            int slot = open.get(i);
            if (entries.contains(slot)) {
                touchedEntries.add(SlotTable.className(set.slots().slot(slot).contract()));
            }
            for (Arrow arrow : into.getOrDefault(slot, List.of())) {
                if (arrow.consumer().isEmpty() && failing.contains(slot)) {
                    failing.add(arrow.from());
                } else if (failing.contains(slot)) {
                    consumers.add(arrow.consumer());
                }
                if (seen.add(arrow.from())) {
                    open.add(arrow.from());
                }
            }
        }
        return new TouchedConsumers(List.copyOf(consumers), List.copyOf(touchedEntries));
    }
}
