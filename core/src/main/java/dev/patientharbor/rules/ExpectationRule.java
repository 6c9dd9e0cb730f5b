package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.declared.ResolvedExpectation;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reports consumers that do not receive what their profile expects, both labelled. */
final class ExpectationRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        for (ResolvedProfile profile : set.profiles()) {
            Optional<Wiring> wiring =
                    set.wiring(profile).filter(each -> !profile.expectations().isEmpty());
            Map<String, List<Ask>> asks = wiring.map(ExpectationRule::asks).orElse(Map.of());
            for (ResolvedExpectation expectation : profile.expectations()) {
                List<NameLookup> unknown =
                        expectation.names().stream()
                                .filter(name -> name.facts().isEmpty())
                                .toList();
                unknown.forEach(name -> reporter.report(profile, NamesRule.finding(set, name)));
                if (unknown.isEmpty() && wiring.isPresent()) {
                    check(
                            context,
                            wiring.get(),
                            asks.getOrDefault(expectation.consumer().orElseThrow(), List.of()),
                            expectation);
                }
            }
        }
    }

    /** That a consumer asks for a slot, and the seat to which that leads. */
    private record Ask(int slot, int asked) {}

    /** What is asked for, by the class that asks. */
    private static Map<String, List<Ask>> asks(Wiring wiring) {
        Map<String, List<Ask>> asks = new HashMap<>();
        for (int i = 0; i < wiring.reachedSize(); i++) {
            wiring.eachNeed(
                    wiring.reached(i),
                    (consumer, need, asked) ->
                            asks.computeIfAbsent(consumer.className(), key -> new ArrayList<>(2))
                                    .add(new Ask(need.slot(), asked)));
        }
        return asks;
    }

    private static void check(
            RuleContext context, Wiring wiring, List<Ask> asks, ResolvedExpectation expected) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        Map<String, Integer> received = new LinkedHashMap<>();
        for (Ask ask : asks) {
            if (asksFor(set, ask.slot(), expected)) {
                received.putIfAbsent(text(set, wiring, ask.asked()), ask.asked());
            }
        }
        String wanted =
                String.join(
                        " → ",
                        expected.declared().received().stream()
                                .map(word -> shortName(set, word))
                                .toList());
        List<String> wrong = new ArrayList<>();
        received.forEach(
                (text, asked) -> {
                    boolean holds =
                            text.equals(wanted)
                                    || expected.declared().received().size() == 1
                                            && text.endsWith("→ " + wanted);
                    if (!holds) {
                        wrong.add(text + origin(wiring, asked));
                    }
                });
        if (wrong.isEmpty() && !received.isEmpty()) {
            return;
        }
        String consumer = expected.declared().consumer().text();
        String slot = set.text(expected.slot().orElseThrow());
        reporter.report(
                wiring.profile(),
                Finding.of(
                                FindingKinds.BROKEN_EXPECTATION,
                                expected.declared().at(),
                                List.of(consumer, slot),
                                received.isEmpty()
                                        ? consumer + " asks for no " + slot + " here."
                                        : consumer
                                                + " does not receive the "
                                                + slot
                                                + " that is expected.")
                        .with("expected", wanted)
                        .with("received", received.isEmpty() ? List.of("nothing") : wrong)
                        .with("do", "bind what is expected, or correct the expectation")
                        .touching(List.of(expected.consumer().orElseThrow()), List.of()));
    }

    private static boolean asksFor(ResolvedSet set, int slot, ResolvedExpectation expected) {
        int wanted = expected.slot().orElseThrow();
        return slot == wanted
                || set.content(slot).equals(set.slots().slot(wanted).contract())
                        && set.slots().slot(slot).key().equals(set.slots().slot(wanted).key());
    }

    private static String shortName(ResolvedSet set, WrittenName word) {
        return set.names()
                .lookup(word)
                .facts()
                .map(facts -> set.names().shortName(facts.name()))
                .orElse(word.text());
    }

    private static String text(ResolvedSet set, Wiring wiring, int asked) {
        Optional<SlotOutcome> end = wiring.received(asked).map(wiring::outcome);
        if (end.isEmpty()) {
            return AnswerKind.UNMET.word();
        }
        List<String> all = new ArrayList<>();
        end.get().decorators().stream()
                .map(ResolvedDecorator::text)
                .map(set.names()::shortName)
                .forEach(all::add);
        all.add(end.get().blueprint().map(set::maker).orElseGet(() -> end.get().answer().word()));
        return String.join(" → ", all);
    }

    private static String origin(Wiring wiring, int asked) {
        return wiring.received(asked)
                .flatMap(seat -> wiring.outcome(seat).binding())
                .map(binding -> binding.declared().at())
                .map(SourcePosition::text)
                .map(at -> " (" + at + ")")
                .orElse("");
    }
}
