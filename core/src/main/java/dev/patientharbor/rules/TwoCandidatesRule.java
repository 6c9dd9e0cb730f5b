package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.InheritanceCheck;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Reports slots that one profile binds twice, and open needs that several slots would fit. */
final class TwoCandidatesRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        for (ResolvedProfile owner : set.profiles()) {
            for (List<ResolvedBinding> all : owner.boundTwice()) {
                reporter.report(
                        owner,
                        profile -> InheritanceCheck.holdsFor(all.get(0), profile),
                        all.get(0).slot().map(List::of).orElseThrow(),
                        boundTwiceFinding(set, all));
            }
        }
        Map<Integer, List<Wiring>> open = new TreeMap<>();
        for (Wiring wiring : set.checked()) {
            for (int slot : wiring.unsound()) {
                if (wiring.outcome(slot).kind() == SlotOutcome.Kind.SEVERAL) {
                    open.computeIfAbsent(slot, key -> new ArrayList<>()).add(wiring);
                }
            }
        }
        open.forEach((slot, wirings) -> reportOpen(context, slot, wirings));
        for (Wiring wiring : set.checked()) {
            for (int i = 0; i < wiring.reachedSize(); i++) {
                int seat = wiring.reached(i);
                if (wiring.outcome(seat).kind() == SlotOutcome.Kind.COLLECTION && set.isMap(seat)) {
                    reportMap(context, wiring, seat);
                }
            }
        }
    }

    /** Reports a map two of whose members have one key, being slots of several contracts. */
    private static void reportMap(RuleContext context, Wiring wiring, int map) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        Map<String, List<String>> byKey = new TreeMap<>();
        for (int member : wiring.outcome(map).candidates()) {
            set.slots()
                    .slot(member)
                    .key()
                    .ifPresent(
                            key ->
                                    byKey.computeIfAbsent(key.text(), other -> new ArrayList<>(1))
                                            .add(set.text(member)));
        }
        byKey.values().removeIf(members -> members.size() == 1);
        byKey.forEach(
                (key, members) -> {
                    reporter.report(
                            wiring,
                            List.of(map),
                            Finding.of(
                                            FindingKinds.TWO_CANDIDATES,
                                            wiring.profile().declared().at(),
                                            List.of(set.slots().slot(map).text(), key),
                                            set.text(map)
                                                    + " has one member for each key, and "
                                                    + members.size()
                                                    + " slots have the key "
                                                    + key
                                                    + ".")
                                    .with("slots", String.join(", ", members))
                                    .with("reached by", context.wording().path(wiring, map))
                                    .with("do", "give each of them a key of its own"));
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
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        FindingWording wording = context.wording();
        ResolvedProfile common = wording.common(wirings.stream().map(Wiring::profile).toList());
        String text = set.text(seat);
        for (Wiring wiring : wirings) {
            List<Integer> candidates = wiring.outcome(seat).candidates();
            boolean areClasses = areClasses(set, seat, candidates);
            Optional<String> line =
                    areClasses
                            ? context.lines().fill(set.slots().slot(seat), Optional.empty(), common)
                            : Optional.empty();
            reporter.report(
                    wiring,
                    List.of(seat),
                    Finding.of(
                                    FindingKinds.TWO_CANDIDATES,
                                    common.declared().at(),
                                    set.slots().slot(seat).text(),
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
                                            candidates.stream().map(set::text).toList()))
                            .withAny("left out", wording.leftOut(seat))
                            .with("reached by", wording.path(wiring, seat))
                            .with(
                                    line.isPresent() ? "write" : "do",
                                    line.orElse(
                                            "bind "
                                                    + text
                                                    + " itself, with same-as if it is one"
                                                    + " of these")));
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
