package dev.patientharbor.rules;

import dev.patientharbor.code.MethodFacts;
import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.model.CannedMethod;
import dev.patientharbor.model.Supply;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.ImplementationKind;
import dev.patientharbor.types.MissingMethods;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Reports calls that a stand-in cannot answer: canned answers without one for the method, or a
 * class whose method never returns but throws. What returns nothing needs no answer.
 */
final class UnansweredCallRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        boolean[] callsAny = {false};
        context.set()
                .eachDistinctSeat((wiring, seat) -> callsAny[0] |= callsAny(wiring.outcome(seat)));
        if (!callsAny[0]) {
            return;
        }
        Map<String, Set<String>> abstractMethods = new HashMap<>();
        for (Wiring wiring : context.set().checked()) {
            CallsInProfile one =
                    new CallsInProfile(context, wiring, abstractMethods, new TreeMap<>());
            for (int i = 0; i < wiring.reachedSize(); i++) {
                int seat = wiring.reached(i);
                if (callsAny(wiring.outcome(seat))) {
                    wiring.eachNeed(seat, one::need);
                }
            }
            one.found()
                    .values()
                    .forEach(
                            call -> context.reporter().report(wiring.profile(), one.finding(call)));
        }
    }

    /** Whether there is anything to look at: what is read of calls is read of stand-ins' alone. */
    private static boolean callsAny(SlotOutcome outcome) {
        return !outcome.decorators().isEmpty()
                || outcome.blueprint()
                        .filter(blueprint -> !blueprint.facts().bodies().calls().isEmpty())
                        .isPresent();
    }

    /** A method that a stand-in does not answer, and the classes that call it. */
    private record UnansweredCall(
            ResolvedBinding standIn, MethodFacts method, TreeSet<String> callers) {}

    /** One profile. */
    private record CallsInProfile(
            RuleContext context,
            Wiring wiring,
            Map<String, Set<String>> abstractMethods,
            Map<String, UnansweredCall> found) {

        void need(Blueprint consumer, Need need, int asked) {
            List<MethodFacts> calls = consumer.facts().bodies().calls();
            if (calls.isEmpty()) {
                return;
            }
            String contract = SlotTable.className(context.set().content(need.slot()));
            for (SlotOutcome outcome : received(asked)) {
                for (MethodFacts call : calls) {
                    if (call.owner().equals(contract) && isUnanswered(call, outcome)) {
                        ResolvedBinding binding = outcome.binding().orElseThrow();
                        found.computeIfAbsent(
                                        binding.declared().at().text() + ' ' + call.key(),
                                        key -> new UnansweredCall(binding, call, new TreeSet<>()))
                                .callers()
                                .add(consumer.className());
                    }
                }
            }
        }

        /** Everything that a need leads to, behind what stands in, wraps or holds. */
        private List<SlotOutcome> received(int asked) {
            List<SlotOutcome> received = new ArrayList<>(1);
            Set<Integer> seats = new LinkedHashSet<>(Set.of(asked));
            for (List<Integer> open = List.of(asked); !open.isEmpty(); ) {
                List<Integer> next = new ArrayList<>(1);
                for (int seat : open) {
                    SlotOutcome outcome = wiring.outcome(seat);
                    if (outcome.isMet()) {
                        received.add(outcome);
                    }
                    outcome.next().filter(seats::add).ifPresent(next::add);
                    if (outcome.kind() == SlotOutcome.Kind.COLLECTION) {
                        outcome.candidates().stream().filter(seats::add).forEach(next::add);
                    }
                }
                open = next;
            }
            return received;
        }

        private boolean isUnanswered(MethodFacts call, SlotOutcome outcome) {
            Optional<Supply> supply = outcome.binding().map(binding -> binding.declared().supply());
            if (supply.isEmpty()) {
                return false;
            }
            Optional<List<CannedMethod>> answers = supply.get().cannedAnswers();
            if (answers.isPresent()) {
                return !call.isVoid()
                        && isAbstract(call)
                        && answers.get().stream()
                                .noneMatch(method -> method.method().text().equals(call.name()));
            }
            return supply.get().kind().filter(ImplementationKind::isStandIn).isPresent()
                    && outcome.blueprint()
                            .filter(
                                    blueprint ->
                                            blueprint
                                                    .facts()
                                                    .bodies()
                                                    .throwing()
                                                    .contains(call.key()))
                            .isPresent();
        }

        private boolean isAbstract(MethodFacts call) {
            return abstractMethods
                    .computeIfAbsent(
                            call.owner(),
                            contract ->
                                    new MissingMethods(context.set().code())
                                            .abstractMethods(contract))
                    .contains(call.key());
        }

        Finding finding(UnansweredCall call) {
            FindingWording wording = context.wording();
            boolean canned = call.standIn().declared().supply().cannedAnswers().isPresent();
            String method = wording.method(call.method());
            String slot = context.set().text(call.standIn().slot().orElseThrow());
            String callers =
                    FindingWording.list(wording.shortNames(List.copyOf(call.callers())))
                            + (call.callers().size() == 1 ? " calls it." : " call it.");
            String supply = wording.supply(call.standIn());
            return Finding.of(
                            FindingKinds.UNANSWERED_CALL,
                            call.standIn().declared().at(),
                            List.of(slot, call.method().key()),
                            canned
                                    ? "The stub of "
                                            + slot
                                            + " has no answer for "
                                            + method
                                            + ", and "
                                            + callers
                                    : supply + " only throws in " + method + ", and " + callers)
                    .with(
                            canned ? "write" : "do",
                            canned
                                    ? call.method().name()
                                            + ": ANSWER     under "
                                            + slot
                                            + " › stub"
                                    : "give it an answer there, or bind another stand-in")
                    .touching(List.copyOf(call.callers()), List.of());
        }
    }
}
