package dev.patientharbor.report;

import dev.patientharbor.plan.Plan;
import dev.patientharbor.plan.Row;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;

/** Who holds the same instance, in one plan. */
final class Sharing {

    private final Map<String, TreeSet<String>> holders = new HashMap<>();

    Sharing(Plan plan) {
        for (Row row : plan.rows()) {
            row.answer()
                    .instance()
                    .ifPresent(
                            label ->
                                    holders.computeIfAbsent(label, one -> new TreeSet<>())
                                            .add(row.consumer()));
        }
    }

    /** The other consumers that hold what a row receives, binary names, sorted. */
    List<String> othersWith(Row row) {
        return row.answer().instance().map(holders::get).stream()
                .flatMap(TreeSet::stream)
                .filter(name -> !name.equals(row.consumer()))
                .toList();
    }
}
