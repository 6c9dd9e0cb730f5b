package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.terms.Slot;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * The contracts of which consumers make or fetch an implementation past whatever a profile says.
 */
final class BypassedContracts {

    private final Map<String, SortedSet<String>> consumers = new HashMap<>();

    /** Takes those of which findings tell: their subjects are the consumer and the contract. */
    BypassedContracts(Stream<Finding> findings) {
        findings.filter(finding -> finding.kind() == FindingKinds.HARD_WIRED)
                .map(Finding::subjects)
                .forEach(
                        of ->
                                consumers
                                        .computeIfAbsent(of.get(1), key -> new TreeSet<>())
                                        .add(of.get(0)));
    }

    /** Returns the consumers that bypass a slot, sorted. */
    List<String> by(Slot slot) {
        return List.copyOf(
                consumers.getOrDefault(SlotTable.className(slot.contract()), new TreeSet<>()));
    }
}
