package dev.patientharbor.report;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Answer.Element;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** Finds who holds the same instance, in one roster. */
final class InstanceSharing {

    private final Map<String, TreeSet<String>> holders = new HashMap<>();

    InstanceSharing(Roster roster) {
        Map<List<Element>, Set<String>> collections = new IdentityHashMap<>();
        for (RosterRow row : roster.rows()) {
            add(row.consumer(), row.answer(), collections);
        }
    }

    /** Members that are the same for several are looked through once for each who holds them. */
    private void add(String consumer, Answer answer, Map<List<Element>, Set<String>> seen) {
        answer.instance()
                .ifPresent(
                        label ->
                                holders.computeIfAbsent(label, key -> new TreeSet<>())
                                        .add(consumer));
        if (!answer.elements().isEmpty()
                && seen.computeIfAbsent(answer.elements(), key -> new TreeSet<>()).add(consumer)) {
            answer.elements().forEach(element -> add(consumer, element.answer(), seen));
        }
    }

    /** All who hold what is received; none if that has no instance. */
    Set<String> holders(Answer answer) {
        return answer.instance()
                .map(holders::get)
                .map(Collections::unmodifiableSortedSet)
                .map(names -> (Set<String>) names)
                .orElse(Set.of());
    }

    /**
     * The other consumers that hold what one consumer receives, binary names, sorted.
     *
     * @param most so many at most
     */
    List<String> othersWith(String consumer, Answer answer, int most) {
        List<String> others = new ArrayList<>();
        for (String holder : holders(answer)) {
            if (others.size() == most) {
                return others;
            }
            if (!holder.equals(consumer)) {
                others.add(holder);
            }
        }
        return others;
    }

    /** How many other consumers hold what one consumer receives. */
    int countOthers(String consumer, Answer answer) {
        Set<String> all = holders(answer);
        return all.size() - (all.contains(consumer) ? 1 : 0);
    }
}
