package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.plan.NeedPlace;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FailureImpact;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Reports parameters of value types, and of classes that are not of the code, for which there is
 * nothing to pass.
 */
final class ValueMissingRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        for (Wiring wiring : context.set().checked()) {
            if (wiring.unsound().stream().noneMatch(slot -> isMissing(wiring.outcome(slot)))) {
                continue;
            }
            for (int i = 0; i < wiring.reachedSize(); i++) {
                int seat = wiring.reached(i);
                Map<Blueprint, List<Need>> lacking = new LinkedHashMap<>();
                wiring.eachNeed(
                        seat,
                        (consumer, need, asked) -> {
                            Optional<SlotOutcome> answer =
                                    wiring.received(asked).map(wiring::outcome);
                            if (answer.filter(ValueMissingRule::isMissing).isPresent()) {
                                lacking.computeIfAbsent(consumer, blueprint -> new ArrayList<>(1))
                                        .add(need);
                            }
                        });
                lacking.forEach(
                        (consumer, needs) -> report(context, wiring, seat, consumer, needs));
            }
        }
    }

    private static boolean isMissing(SlotOutcome outcome) {
        return outcome.kind() == SlotOutcome.Kind.VALUE_MISSING;
    }

    private static void report(
            RuleContext context, Wiring wiring, int seat, Blueprint consumer, List<Need> needs) {
        FindingReporter reporter = context.reporter();
        Need need = needs.get(0);
        FindingWording wording = context.wording();
        SourcePosition at =
                wiring.outcome(seat)
                        .binding()
                        .filter(binding -> isOf(binding, consumer))
                        .map(binding -> binding.declared().at())
                        .orElseGet(() -> FindingWording.placeOf(consumer, need));
        FailureImpact.TouchedConsumers touched = reporter.impact(wiring).of(List.of(seat));
        Finding told =
                Finding.of(
                                FindingKinds.VALUE_MISSING,
                                at,
                                List.of(consumer.className(), need.place().code()),
                                wording.shortName(consumer.className())
                                        + " asks for "
                                        + values(context, needs))
                        .with("reached by", wording.path(wiring, seat));
        reporter.report(
                wiring.profile(),
                advised(context, wiring, seat, consumer, need, told)
                        .touching(List.of(consumer.className()), touched.entries()));
    }

    private static String values(RuleContext context, List<Need> needs) {
        List<String> each =
                needs.stream()
                        .map(
                                need ->
                                        context.set().text(need.slot())
                                                + " ("
                                                + context.wording().place(need)
                                                + ")")
                        .toList();
        return needs.size() == 1
                ? each.get(0) + ", and there is no value for it."
                : needs.size() + " values, and there are none: " + FindingWording.list(each) + ".";
    }

    /** The parameters beside one, and it, for which there is no value, by name. */
    private static List<String> missing(Wiring wiring, int seat, Blueprint consumer, Need beside) {
        List<String> names = new ArrayList<>();
        wiring.eachNeed(
                seat,
                (asker, need, asked) -> {
                    if (asker == consumer
                            && need.place().kind() == beside.place().kind()
                            && wiring.received(asked)
                                    .map(wiring::outcome)
                                    .filter(ValueMissingRule::isMissing)
                                    .isPresent()) {
                        names.add(need.name());
                    }
                });
        return names;
    }

    /** How to give the value: by whoever calls, with the constructor, or as a slot of its own. */
    private static Finding advised(
            RuleContext context,
            Wiring wiring,
            int seat,
            Blueprint consumer,
            Need need,
            Finding told) {
        ResolvedSet set = context.set();
        Optional<String> handler =
                set.consumers().stream()
                        .filter(
                                stated ->
                                        stated.blueprint()
                                                .filter(own -> own == consumer)
                                                .isPresent())
                        .map(stated -> stated.declared().name().text())
                        .findFirst();
        if (handler.isPresent()) {
            return told.with(
                    "do",
                    "if its caller passes it: "
                            + handler.get()
                            + ": { passed: ["
                            + need.name()
                            + "] }     under consumers");
        }
        String given =
                "with: { "
                        + String.join(
                                ", ",
                                missing(wiring, seat, consumer, need).stream()
                                        .map(name -> name + ": …")
                                        .toList())
                        + " }";
        boolean isCore =
                wiring.outcome(seat)
                        .blueprint()
                        .filter(blueprint -> blueprint == consumer)
                        .isPresent();
        NeedPlace.Kind kind = need.place().kind();
        boolean isParameter =
                kind == NeedPlace.Kind.CONSTRUCTOR
                        || kind == NeedPlace.Kind.METHOD && consumer.method().isPresent();
        if (isParameter && !isCore) {
            return told.with(
                    "write",
                    "{ class: "
                            + set.names().toWrite(consumer.className())
                            + ", "
                            + given
                            + " }     in place of its name under decorators");
        }
        if (!isParameter) {
            return told.with(
                    "do",
                    "bind "
                            + set.text(need.slot())
                            + ", or put a class that asks for no such value in its place");
        }
        if (wiring.outcome(seat).binding().isPresent()) {
            return told.with("write", given + "     in its binding");
        }
        String name = set.names().toWrite(consumer.className());
        return told.with(
                "write",
                context.wording().toWrite(set.slots().slot(seat))
                        + ": { class: "
                        + name
                        + ", "
                        + given
                        + " }     under "
                        + wiring.profile().declared().name()
                        + " › bindings");
    }

    private static boolean isOf(ResolvedBinding binding, Blueprint consumer) {
        return binding.blueprint().filter(blueprint -> blueprint == consumer).isPresent();
    }
}
