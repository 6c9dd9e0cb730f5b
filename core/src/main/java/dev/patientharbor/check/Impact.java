package dev.patientharbor.check;

import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.SlotTable;
import dev.patientharbor.resolve.Wiring;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** Walks a wiring against its arrows: who asks for a slot, and which entry consumers lead there. */
final class Impact {

    private final ResolvedSet set;
    private final Map<Integer, List<Arrow>> into = new HashMap<>();
    private final Set<Integer> entries;

    /**
     * Those whom a failing slot touches, sorted: the consumers that ask for it, and the entry
     * consumers above them.
     */
    record Touched(List<String> consumers, List<String> entries) {}

    /** Where an arrow comes from; the consumer is empty where one slot stands in for another. */
    private record Arrow(int from, String consumer) {}

    Impact(ResolvedSet set, Wiring wiring) {
        this.set = set;
        entries = new HashSet<>(wiring.entries());
        for (int i = 0; i < wiring.reachedSize(); i++) {
            int slot = wiring.reached(i);
            wiring.outcome(slot).next().ifPresent(next -> add(next, new Arrow(slot, "")));
            wiring.eachNeed(
                    slot,
                    (consumer, need) -> add(need.slot(), new Arrow(slot, consumer.className())));
        }
    }

    private void add(int slot, Arrow arrow) {
        into.computeIfAbsent(slot, one -> new ArrayList<>(2)).add(arrow);
    }

    /** Whom it touches if these slots fail. */
    Touched of(List<Integer> slots) {
        Set<Integer> failing = new HashSet<>(slots);
        List<Integer> open = new ArrayList<>(slots);
        TreeSet<String> consumers = new TreeSet<>();
        TreeSet<String> touchedEntries = new TreeSet<>();
        Set<Integer> seen = new HashSet<>(slots);
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
        return new Touched(List.copyOf(consumers), List.copyOf(touchedEntries));
    }
}
