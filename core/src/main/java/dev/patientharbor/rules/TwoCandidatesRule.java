package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.FailureImpact;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.InheritanceCheck;
import dev.patientharbor.ruling.Rule;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Reports slots that one profile binds twice, and open needs that several slots would fit. */
final class TwoCandidatesRule implements Rule {

    @Override
    public void check(RuleContext context) {
        for (ResolvedProfile owner : context.set().profiles()) {
            for (List<ResolvedBinding> all : owner.boundTwice()) {
                context.reporter()
                        .report(
                                owner,
                                profile -> InheritanceCheck.holdsFor(all.get(0), profile),
                                all.get(0).slot().map(List::of).orElseThrow(),
                                boundTwiceFinding(context.set(), all));
            }
        }
        Map<Integer, List<Wiring>> open = new TreeMap<>();
        for (Wiring wiring : context.set().checked()) {
            for (int slot : wiring.unsound()) {
                if (wiring.outcome(slot).kind() == SlotOutcome.Kind.SEVERAL) {
                    open.computeIfAbsent(slot, key -> new ArrayList<>()).add(wiring);
                }
            }
        }
        open.forEach((slot, wirings) -> reportOpen(context, slot, wirings));
        for (Wiring wiring : context.set().checked()) {
            for (int i = 0; i < wiring.reachedSize(); i++) {
                int seat = wiring.reached(i);
                if (wiring.outcome(seat).kind() == SlotOutcome.Kind.COLLECTION
                        && context.set().isMap(seat)) {
                    reportMap(context, wiring, seat);
                }
            }
        }
    }

    /** Slots of several contracts may be members of one map, and two of them have one key. */
    private static void reportMap(RuleContext context, Wiring wiring, int map) {
        Map<String, List<String>> byKey = new TreeMap<>();
        for (int member : wiring.outcome(map).candidates()) {
            context.set()
                    .slots()
                    .slot(member)
                    .key()
                    .ifPresent(
                            key ->
                                    byKey.computeIfAbsent(key.text(), other -> new ArrayList<>(1))
                                            .add(context.set().text(member)));
        }
        byKey.values().removeIf(members -> members.size() == 1);
        byKey.forEach(
                (key, members) -> {
                    FailureImpact.TouchedConsumers touched =
                            context.reporter().impact(wiring).of(List.of(map));
                    context.reporter()
                            .report(
                                    wiring.profile(),
                                    Finding.of(
                                                    FindingKinds.TWO_CANDIDATES,
                                                    wiring.profile().declared().at(),
                                                    List.of(
                                                            context.set().slots().slot(map).text(),
                                                            key),
                                                    context.set().text(map)
                                                            + " has one member for each key, and "
                                                            + members.size()
                                                            + " slots have the key "
                                                            + key
                                                            + ".")
                                            .with("slots", String.join(", ", members))
                                            .with("reached by", context.wording().path(wiring, map))
                                            .with("do", "give each of them a key of its own")
                                            .touching(touched.consumers(), touched.entries()));
                });
    }

    private static Finding boundTwiceFinding(ResolvedSet set, List<ResolvedBinding> all) {
        String slot = set.text(all.get(0).slot().orElseThrow());
        return Finding.of(
                        FindingKinds.TWO_CANDIDATES,
                        all.get(1).declared().at(),
                        slot,
                        "One " + slot + " is wanted, and " + all.size() + " are bound.")
                .with(
                        "bound",
                        all.stream()
                                .map(
                                        binding ->
                                                binding.declared().supply().words()
                                                        + " at "
                                                        + binding.declared().at().text())
                                .toList())
                .with("do", "keep one, or give each a key: " + slot + "@KEY");
    }

    private static void reportOpen(RuleContext context, int seat, List<Wiring> wirings) {
        FindingWording wording = context.wording();
        ResolvedProfile common = wording.common(wirings.stream().map(Wiring::profile).toList());
        String text = context.set().text(seat);
        for (Wiring wiring : wirings) {
            List<Integer> candidates = wiring.outcome(seat).candidates();
            boolean areClasses = areClasses(context.set(), seat, candidates);
            Optional<String> line =
                    areClasses
                            ? context.lines()
                                    .fill(
                                            context.set().slots().slot(seat),
                                            Optional.empty(),
                                            common)
                            : Optional.empty();
            FailureImpact.TouchedConsumers touched =
                    context.reporter().impact(wiring).of(List.of(seat));
            context.reporter()
                    .report(
                            wiring.profile(),
                            Finding.of(
                                            FindingKinds.TWO_CANDIDATES,
                                            common.declared().at(),
                                            context.set().slots().slot(seat).text(),
                                            "One "
                                                    + text
                                                    + " is wanted, and "
                                                    + candidates.size()
                                                    + (areClasses
                                                            ? " classes of the code may fill it."
                                                            : " slots fit."))
                                    .with(
                                            areClasses ? "classes" : "slots",
                                            FindingWording.list(
                                                    candidates.stream()
                                                            .map(context.set()::text)
                                                            .toList()))
                                    .withAny("left out", wording.leftOut(seat))
                                    .with("reached by", wording.path(wiring, seat))
                                    .with(
                                            line.isPresent() ? "write" : "do",
                                            line.orElse(
                                                    "bind "
                                                            + text
                                                            + " itself, with same-as if it is one"
                                                            + " of these"))
                                    .touching(touched.consumers(), touched.entries()));
        }
    }

    /** Whether those among which nothing chooses are classes that may fill what nothing binds. */
    private static boolean areClasses(ResolvedSet set, int slot, List<Integer> candidates) {
        List<String> fillers = set.fillers(slot);
        return candidates.stream()
                .map(candidate -> SlotTable.className(set.slots().slot(candidate).contract()))
                .allMatch(fillers::contains);
    }
}
