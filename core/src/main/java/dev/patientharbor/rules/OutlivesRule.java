package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Reports shared objects that hold, for as long as they live, one that is made to live less long:
 * an error if that is scoped, a note if it is fresh. Decorators live as long as what they wrap;
 * what is made when it is asked for is not held.
 */
final class OutlivesRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        if (nobodyHoldsAny(set)) {
            return;
        }
        for (Wiring wiring : set.checked()) {
            if (!holdsAny(set, wiring)) {
                continue;
            }
            Map<Integer, TreeMap<String, TreeSet<String>>> holders = new TreeMap<>();
            for (int i = 0; i < wiring.reachedSize(); i++) {
                int seat = wiring.reached(i);
                if (lifetime(set, wiring, seat).isOfRig()) {
                    wiring.eachNeed(
                            seat,
                            (consumer, need, asked) ->
                                    hold(set, wiring, consumer, need, asked, holders));
                }
            }
            // One binding may stand at several levels, in other layers.
            Map<String, Integer> first = new LinkedHashMap<>();
            holders.forEach(
                    (held, by) -> {
                        String what = placeOf(wiring, held).text() + ' ' + set.text(held);
                        Integer same = first.putIfAbsent(what, held);
                        if (same != null) {
                            by.forEach(
                                    (name, needs) ->
                                            holders.get(same)
                                                    .computeIfAbsent(name, key -> new TreeSet<>())
                                                    .addAll(needs));
                        }
                    });
            first.values()
                    .forEach(
                            held -> {
                                reporter.report(
                                        wiring.profile(),
                                        finding(context, wiring, held, holders.get(held)));
                            });
        }
    }

    /** Whether nothing is there that is not shared, in any profile: what is alike is asked once. */
    private static boolean nobodyHoldsAny(ResolvedSet set) {
        boolean[] holds = {false};
        for (Wiring wiring : set.checked()) {
            holds[0] |= !set.lifetimes().usual(wiring.profile()).lifetime().isOfRig();
        }
        if (!holds[0]) {
            set.eachDistinctSeat((wiring, seat) -> holds[0] |= isHeld(set, wiring, seat));
        }
        return !holds[0];
    }

    /** Whether anything is there that is not shared. */
    private static boolean holdsAny(ResolvedSet set, Wiring wiring) {
        for (int i = 0; i < wiring.reachedSize(); i++) {
            if (isHeld(set, wiring, wiring.reached(i))) {
                return true;
            }
        }
        return false;
    }

    private static boolean isHeld(ResolvedSet set, Wiring wiring, int seat) {
        return wiring.outcome(seat).isMet() && !lifetime(set, wiring, seat).isOfRig();
    }

    private static void hold(
            ResolvedSet set,
            Wiring wiring,
            Blueprint consumer,
            Need need,
            int asked,
            Map<Integer, TreeMap<String, TreeSet<String>>> holders) {
        List<Integer> open = new ArrayList<>(List.of(asked));
        Set<Integer> seen = new HashSet<>(open);
        for (int i = 0; i < open.size(); i++) {
            int seat = open.get(i);
            SlotOutcome outcome = wiring.outcome(seat);
            if (outcome.isMet()) {
                if (!lifetime(set, wiring, seat).isOfRig()) {
                    holders.computeIfAbsent(seat, key -> new TreeMap<>())
                            .computeIfAbsent(consumer.className(), key -> new TreeSet<>())
                            .add(need.name());
                }
            } else if (outcome.kind() != SlotOutcome.Kind.DEFERRED) {
                outcome.next().filter(seen::add).ifPresent(open::add);
                if (outcome.kind() == SlotOutcome.Kind.COLLECTION) {
                    outcome.candidates().stream().filter(seen::add).forEach(open::add);
                }
            }
        }
    }

    private static Lifetime lifetime(ResolvedSet set, Wiring wiring, int seat) {
        SlotOutcome outcome = wiring.outcome(seat);
        return outcome.isMet()
                ? set.lifetimes().of(outcome, wiring.profile()).lifetime()
                : Lifetime.FRESH;
    }

    private static SourcePosition placeOf(Wiring wiring, int held) {
        SlotOutcome outcome = wiring.outcome(held);
        return outcome.binding()
                .map(binding -> binding.declared().at())
                .or(
                        () ->
                                outcome.blueprint()
                                        .map(
                                                blueprint ->
                                                        SourcePosition.classNamed(
                                                                blueprint.className())))
                .orElseThrow();
    }

    private static List<String> heldBy(
            Map<String, TreeSet<String>> holders, FindingWording wording) {
        List<String> texts = new ArrayList<>();
        holders.forEach(
                (holder, needs) ->
                        texts.add(
                                wording.shortName(holder) + " (" + String.join(", ", needs) + ")"));
        return texts;
    }

    private static Finding finding(
            RuleContext context, Wiring wiring, int held, Map<String, TreeSet<String>> holders) {
        ResolvedSet set = context.set();
        FindingWording wording = context.wording();
        SlotOutcome outcome = wiring.outcome(held);
        Lifetime lifetime = lifetime(set, wiring, held);
        SourcePosition at = placeOf(wiring, held);
        String text = set.text(held);
        String what = outcome.blueprint().map(set::maker).orElse(text);
        Finding finding =
                Finding.of(
                                FindingKinds.OUTLIVES,
                                at,
                                text,
                                text
                                        + (what.equals(text) ? "" : " (" + what + ")")
                                        + " is "
                                        + lifetime.word()
                                        + ", and shared objects hold it as long as they live: "
                                        + FindingWording.list(heldBy(holders, wording))
                                        + ".")
                        .with("reached by", wording.path(wiring, held))
                        .with(
                                "do",
                                "ask for a Supplier or Provider of it, or give the holder the"
                                        + " lifetime too")
                        .touching(List.copyOf(holders.keySet()), List.of());
        return lifetime.isOfScope() ? finding : finding.asNote();
    }
}
