package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Lifetime;
import dev.patientharbor.plan.LifetimeChoice;
import dev.patientharbor.resolve.Blueprint;
import dev.patientharbor.resolve.Outcome;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.Wiring;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Notes classes that fill two slots, so that there are two shared instances where somebody may
 * expect one.
 */
final class SharedTwiceRule implements Rule {

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        Map<String, TreeSet<Integer>> seatsOf = new TreeMap<>();
        set.eachDistinctSeat(
                (wiring, seat) ->
                        filledBy(set, wiring, seat)
                                .ifPresent(
                                        name ->
                                                seatsOf.computeIfAbsent(
                                                                name, one -> new TreeSet<>())
                                                        .add(seat)));
        seatsOf.values().removeIf(seats -> seats.size() < 2);
        for (Wiring wiring : set.checked()) {
            seatsOf.forEach(
                    (name, seats) -> {
                        TreeSet<Integer> slots = new TreeSet<>();
                        for (int seat : seats) {
                            if (filledBy(set, wiring, seat).filter(name::equals).isPresent()) {
                                slots.add(set.slots().plain(seat));
                            }
                        }
                        if (slots.size() > 1) {
                            reporter.report(wiring.profile(), finding(set, wiring, name, slots));
                        }
                    });
        }
    }

    /** The class of which a seat has a shared instance of its own. */
    private static Optional<String> filledBy(ResolvedSet set, Wiring wiring, int seat) {
        if (!wiring.isReached(seat) || !isSharedByItsSlot(set, wiring, wiring.outcome(seat))) {
            return Optional.empty();
        }
        return wiring.outcome(seat).blueprint().map(Blueprint::className);
    }

    private static boolean isSharedByItsSlot(ResolvedSet set, Wiring wiring, Outcome outcome) {
        if (outcome.kind() != Outcome.Kind.OBJECT
                || outcome.blueprint().filter(one -> one.method().isEmpty()).isEmpty()) {
            return false;
        }
        LifetimeChoice choice = set.lifetimes().of(outcome, wiring.profile());
        return choice.lifetime() == Lifetime.SHARED && choice.by() != LifetimeChoice.By.MARK;
    }

    private static Finding finding(
            ResolvedSet set, Wiring wiring, String name, TreeSet<Integer> slots) {
        String shortName = set.names().shortName(name);
        TreeSet<String> texts = new TreeSet<>(slots.stream().map(set::text).toList());
        Where at =
                slots.stream()
                        .flatMap(slot -> wiring.outcome(slot).binding().stream())
                        .map(one -> one.declared().at())
                        .sorted()
                        .reduce((one, other) -> other)
                        .orElse(Where.classNamed(name));
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
