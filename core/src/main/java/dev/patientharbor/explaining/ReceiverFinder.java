package dev.patientharbor.explaining;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** Finds who receives something in a roster, directly and by way of others. */
public final class ReceiverFinder {

    private static final Comparator<ReceivingNeed> ORDER =
            Comparator.comparingInt(ReceivingNeed::depth)
                    .thenComparing(ReceivingNeed::row, RosterRow.ORDER);

    private ReceiverFinder() {}

    /** Who asks: a class in a slot; levels apart would miss what stands at a broader one. */
    private record Standing(String maker, Optional<Slot> slot) {}

    /**
     * Returns who receives an implementation: a core, a decorator, a factory.
     *
     * @param maker a binary name; a factory as {@code Class#method}
     */
    public static List<ReceivingNeed> ofImplementation(Roster roster, String maker) {
        RequiredArgument.of(roster, "roster");
        RequiredArgument.of(maker, "maker");
        return of(roster, row -> makers(row.answer()).contains(maker));
    }

    /** Returns who receives what fills a slot, also as a member of a collection. */
    public static List<ReceivingNeed> ofSlot(Roster roster, Slot slot) {
        RequiredArgument.of(roster, "roster");
        RequiredArgument.of(slot, "slot");
        return of(roster, row -> row.slot().equals(slot) || fills(row.answer(), slot));
    }

    private static boolean fills(Answer answer, Slot slot) {
        return answer.fills().filter(seat -> seat.slot().equals(slot)).isPresent()
                || answer.elements().stream().anyMatch(element -> fills(element.answer(), slot));
    }

    private static Set<String> makers(Answer answer) {
        Set<String> makers = new HashSet<>(answer.decorators());
        answer.implementation().ifPresent(makers::add);
        answer.elements().forEach(element -> makers.addAll(makers(element.answer())));
        return makers;
    }

    private static List<ReceivingNeed> of(Roster roster, Predicate<RosterRow> direct) {
        Map<Standing, List<RosterRow>> holding = holding(roster);
        List<ReceivingNeed> found = new ArrayList<>();
        Set<RosterRow> seen = new HashSet<>();
        for (RosterRow row : roster.rows()) {
            if (direct.test(row) && seen.add(row)) {
                found.add(new ReceivingNeed(row, 1));
            }
        }
        for (int i = 0; i < found.size(); i++) {
            RosterRow row = found.get(i).row();
            int depth = found.get(i).depth() + 1;
            Standing asks = new Standing(row.consumer(), row.as());
            for (RosterRow holder : holding.getOrDefault(asks, List.of())) {
                if (seen.add(holder)) {
                    found.add(new ReceivingNeed(holder, depth));
                }
            }
        }
        found.sort(ORDER);
        return List.copyOf(found);
    }

    /** The rows that hold who asks, by who that is. */
    private static Map<Standing, List<RosterRow>> holding(Roster roster) {
        Map<Standing, List<RosterRow>> holding = new HashMap<>();
        for (RosterRow row : roster.rows()) {
            add(holding, row, row.answer());
        }
        return holding;
    }

    private static void add(Map<Standing, List<RosterRow>> holding, RosterRow row, Answer answer) {
        if (answer.fills().isPresent()) {
            List<String> makers = new ArrayList<>(answer.decorators());
            answer.implementation().ifPresent(makers::add);
            for (String maker : makers) {
                holding.computeIfAbsent(
                                new Standing(maker, answer.fills().map(Answer.Seat::slot)),
                                key -> new ArrayList<>())
                        .add(row);
            }
        }
        answer.elements().forEach(element -> add(holding, row, element.answer()));
    }
}
