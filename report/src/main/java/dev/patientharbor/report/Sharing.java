package dev.patientharbor.report;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.Row;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;

/** Who holds the same instance, in one roster. */
final class Sharing {

    private final Map<String, TreeSet<String>> holders = new HashMap<>();

    Sharing(Roster roster) {
        for (Row row : roster.rows()) {
            add(row.consumer(), row.answer());
        }
    }

    private void add(String consumer, Answer answer) {
        answer.instance()
                .ifPresent(
                        label ->
                                holders.computeIfAbsent(label, one -> new TreeSet<>())
                                        .add(consumer));
        answer.elements().forEach(element -> add(consumer, element.answer()));
    }

    /** The other consumers that hold what one consumer receives, binary names, sorted. */
    List<String> othersWith(String consumer, Answer answer) {
        return answer.instance().map(holders::get).stream()
                .flatMap(TreeSet::stream)
                .filter(name -> !name.equals(consumer))
                .toList();
    }
}
