package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.plan.LifetimeChoice;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.HashMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Notes classes that fill two slots, so that there are two shared instances where somebody may
 * expect one.
 */
final class SharedTwiceRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        Map<String, Integer> firstSeat = new HashMap<>();
        Map<String, TreeSet<Integer>> seatsOf = new TreeMap<>();
        set.eachDistinctSeat(
                (wiring, seat) -> {
                    String name = filledBy(set, wiring, seat);
                    Integer first = name.isEmpty() ? null : firstSeat.putIfAbsent(name, seat);
                    if (first != null && first != seat) {
                        TreeSet<Integer> seats =
                                seatsOf.computeIfAbsent(name, key -> new TreeSet<>());
                        seats.add(first);
                        seats.add(seat);
                    }
                });
        for (Wiring wiring : set.checked()) {
            seatsOf.forEach(
                    (name, seats) -> {
                        TreeSet<Integer> slots = new TreeSet<>();
                        for (int seat : seats) {
                            if (filledBy(set, wiring, seat).equals(name)) {
                                slots.add(set.slots().wholeSlot(seat));
                            }
                        }
                        if (slots.size() > 1) {
                            reporter.report(wiring.profile(), finding(set, wiring, name, slots));
                        }
                    });
        }
    }

    /** The class of which a seat has a shared instance of its own; blank if it has none. */
    private static String filledBy(ResolvedSet set, Wiring wiring, int seat) {
        return wiring.isReached(seat) && isSharedByItsSlot(set, wiring, wiring.outcome(seat))
                ? wiring.outcome(seat).blueprint().orElseThrow().className()
                : "";
    }

    private static boolean isSharedByItsSlot(ResolvedSet set, Wiring wiring, SlotOutcome outcome) {
        if (outcome.kind() != SlotOutcome.Kind.OBJECT
                || outcome.core().isPresent()
                || outcome.blueprint().orElseThrow().method().isPresent()) {
            return false;
        }
        LifetimeChoice choice = set.lifetimes().of(outcome, wiring.profile());
        return choice.lifetime() == Lifetime.SHARED && choice.by() != LifetimeChoice.By.MARK;
    }

    private static Finding finding(
            ResolvedSet set, Wiring wiring, String name, TreeSet<Integer> slots) {
        String shortName = set.names().shortName(name);
        TreeSet<String> texts = new TreeSet<>(slots.stream().map(set::text).toList());
        SourcePosition at =
                slots.stream()
                        .flatMap(seat -> wiring.outcome(seat).binding().stream())
                        .map(binding -> binding.declared().at())
                        .sorted()
                        .reduce((position, other) -> other)
                        .orElse(SourcePosition.classNamed(name));
        return Finding.of(
                        FindingKinds.SHARED_TWICE,
                        at,
                        name,
                        shortName
                                + " fills "
                                + String.join(" and ", texts)
                                + ": that is "
                                + texts.size()
                                + " instances.")
                .with(
                        "do",
                        "if it should be one: "
                                + texts.last()
                                + ": { same-as: "
                                + texts.first()
                                + " }");
    }
}
