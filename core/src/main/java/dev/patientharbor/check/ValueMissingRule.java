package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Where;
import dev.patientharbor.resolve.Blueprint;
import dev.patientharbor.resolve.Need;
import dev.patientharbor.resolve.Outcome;
import dev.patientharbor.resolve.ResolvedBinding;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.Wiring;
import java.util.List;
import java.util.Optional;

/**
 * Tells parameters of value types, and of classes that are not of the code, for which there is
 * nothing to pass.
 */
final class ValueMissingRule implements Rule {

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        for (Wiring wiring : set.checked()) {
            if (wiring.unsound().stream().noneMatch(slot -> isMissing(wiring.outcome(slot)))) {
                continue;
            }
            for (int i = 0; i < wiring.reachedSize(); i++) {
                int slot = wiring.reached(i);
                wiring.eachNeed(
                        slot,
                        (consumer, need, asked) -> {
                            Optional<Outcome> answer = wiring.received(asked).map(wiring::outcome);
                            if (answer.filter(ValueMissingRule::isMissing).isPresent()) {
                                report(set, wiring, slot, consumer, need, reporter);
                            }
                        });
            }
        }
    }

    private static boolean isMissing(Outcome outcome) {
        return outcome.kind() == Outcome.Kind.VALUE_MISSING;
    }

    private static void report(
            ResolvedSet set,
            Wiring wiring,
            int slot,
            Blueprint consumer,
            Need need,
            Reporter reporter) {
        Wording wording = new Wording(set);
        Where at =
                wiring.outcome(slot)
                        .binding()
                        .filter(one -> isOf(one, consumer))
                        .map(one -> one.declared().at())
                        .orElseGet(() -> Wording.at(consumer, need));
        Impact.Touched touched = reporter.impact(wiring).of(List.of(slot));
        String type = set.text(need.slot());
        reporter.report(
                wiring.profile(),
                Finding.of(
                                FindingKinds.VALUE_MISSING,
                                at,
                                consumer.className() + ' ' + need.place().code(),
                                wording.shortName(consumer.className())
                                        + " asks for "
                                        + type
                                        + " ("
                                        + wording.place(need)
                                        + "), and there is no value for it.")
                        .with("reached by", wording.path(wiring, slot))
                        .with("do", remedy(set, consumer, need, type))
                        .touching(List.of(consumer.className()), touched.entries()));
    }

    private static String remedy(ResolvedSet set, Blueprint consumer, Need need, String type) {
        Optional<String> handler =
                set.consumers().stream()
                        .filter(one -> one.blueprint().filter(own -> own == consumer).isPresent())
                        .map(one -> one.declared().name().text())
                        .findFirst();
        return handler.map(
                        name ->
                                "if its caller passes it: "
                                        + name
                                        + ": { passed: ["
                                        + need.name()
                                        + "] }     under consumers")
                .orElse(
                        "bind "
                                + type
                                + ", or put a class that asks for no such value in its place");
    }

    private static boolean isOf(ResolvedBinding binding, Blueprint consumer) {
        return binding.blueprint().filter(one -> one == consumer).isPresent();
    }
}
