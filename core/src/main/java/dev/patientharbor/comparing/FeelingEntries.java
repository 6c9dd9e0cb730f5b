package dev.patientharbor.comparing;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.terms.Slot;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Finds the entry consumers of a roster that hold something, directly or by way of others. */
final class FeelingEntries {

    /** Who asks: a class in a slot at a level. */
    private record Standing(String consumer, String as, String within) {
        static Standing of(RosterRow row) {
            return new Standing(
                    row.consumer(), row.as().map(Slot::text).orElse(""), row.within().orElse(""));
        }
    }

    private final Map<Standing, Set<Standing>> heldBy = new HashMap<>();
    private final Map<Standing, Set<String>> known = new HashMap<>();
    private final Set<Standing> standings = new LinkedHashSet<>();

    /** Who asks in a slot, by class and slot, at whatever level; made when it is needed. */
    private Map<List<String>, Set<Standing>> bySlot;

    FeelingEntries(Roster roster) {
        List<Standing> holders = new ArrayList<>();
        for (RosterRow row : roster.rows()) {
            Standing each = Standing.of(row);
            holders.add(each);
            standings.add(each);
        }
        for (int i = 0; i < holders.size(); i++) {
            add(holders.get(i), roster.rows().get(i).answer());
        }
    }

    /**
     * Where an object that fills a seat asks from: that level, or a broader one, if only decorators
     * stand at that level.
     */
    private Set<Standing> asking(String maker, Answer.Seat seat) {
        String slot = seat.slot().text();
        Standing exact = new Standing(maker, slot, seat.within().orElse(""));
        return standings.contains(exact)
                ? Set.of(exact)
                : bySlot().getOrDefault(List.of(maker, slot), Set.of());
    }

    private Map<List<String>, Set<Standing>> bySlot() {
        if (bySlot == null) {
            bySlot = new HashMap<>();
            for (Standing each : standings) {
                bySlot.computeIfAbsent(
                                List.of(each.consumer(), each.as()), key -> new LinkedHashSet<>())
                        .add(each);
            }
        }
        return bySlot;
    }

    private void add(Standing holder, Answer answer) {
        Optional<Answer.Seat> seat = answer.fills();
        if (seat.isPresent()) {
            List<String> makers = new ArrayList<>(answer.decorators());
            answer.implementation().ifPresent(makers::add);
            for (String maker : makers) {
                asking(maker, seat.get())
                        .forEach(
                                held ->
                                        heldBy.computeIfAbsent(held, key -> new LinkedHashSet<>())
                                                .add(holder));
            }
        }
        answer.elements().forEach(element -> add(holder, element.answer()));
    }

    /** Returns the entry consumers that hold who asks in a row, or are it. */
    Set<String> of(RosterRow row) {
        return known.computeIfAbsent(Standing.of(row), this::entries);
    }

    private Set<String> entries(Standing start) {
        Set<String> entries = new TreeSet<>();
        Set<Standing> seen = new HashSet<>(Set.of(start));
        List<Standing> open = new ArrayList<>(seen);
        for (int i = 0; i < open.size(); i++) {
            Set<Standing> holders = heldBy.getOrDefault(open.get(i), Set.of());
            // An entry consumer that is bound itself stands in its own slot, and nobody holds it.
            if (open.get(i).as().isEmpty() || holders.isEmpty()) {
                entries.add(open.get(i).consumer());
            }
            for (Standing holder : holders) {
                if (seen.add(holder)) {
                    open.add(holder);
                }
            }
        }
        return entries;
    }
}
