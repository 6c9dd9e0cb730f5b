package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.NearNames;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Reports variants that a map by an enum leaves out, since their keys are no constants of it, and
 * constants for which it has no member.
 */
final class MapKeyRule implements CheckRule {

    /** A map, and the constants that it lacks. */
    private record Lack(int map, List<String> constants) {}

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        Map<Lack, List<Wiring>> lacking = new LinkedHashMap<>();
        for (Wiring wiring : set.checked()) {
            for (int i = 0; i < wiring.reachedSize(); i++) {
                int seat = wiring.reached(i);
                SlotOutcome outcome = wiring.outcome(seat);
                if (outcome.kind() != SlotOutcome.Kind.COLLECTION) {
                    continue;
                }
                Optional<List<String>> keys = set.mapKeys(seat);
                if (keys.isPresent() && outcome.binding().isEmpty()) {
                    check(context, wiring, seat, keys.get());
                }
                List<String> lack = lacking(set, outcome, keys.orElse(List.of()));
                if (!lack.isEmpty()) {
                    lacking.computeIfAbsent(new Lack(seat, lack), key -> new ArrayList<>(1))
                            .add(wiring);
                }
            }
        }
        lacking.forEach((lack, wirings) -> report(context, lack, wirings));
    }

    /**
     * The constants without a member; none for a map that has none at all, which is reported apart.
     */
    private static List<String> lacking(ResolvedSet set, SlotOutcome outcome, List<String> keys) {
        if (outcome.candidates().isEmpty()) {
            return List.of();
        }
        List<String> lacking = new ArrayList<>(keys);
        for (int member : outcome.candidates()) {
            set.slots().slot(member).key().ifPresent(key -> lacking.remove(key.text()));
        }
        return lacking;
    }

    private static void report(RuleContext context, Lack lack, List<Wiring> wirings) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        FindingWording wording = context.wording();
        ResolvedProfile common = wording.common(wirings.stream().map(Wiring::profile).toList());
        int map = lack.map();
        Slot first = new Slot(set.content(map), Optional.of(Key.named(lack.constants().get(0))));
        Optional<String> line = context.lines().fill(first, Optional.empty(), common);
        for (Wiring wiring : wirings) {
            reporter.report(
                    wiring.profile(),
                    Finding.of(
                                    FindingKinds.CONSTANT_UNBOUND,
                                    common.declared().at(),
                                    set.slots().slot(map).text(),
                                    set.text(map)
                                            + " has no member for "
                                            + FindingWording.list(lack.constants())
                                            + ".")
                            .with("reached by", wording.path(wiring, map))
                            .with(
                                    line.isPresent() ? "write" : "do",
                                    line.orElseGet(() -> context.lines().otherwise(first)))
                            .touching(
                                    reporter.impact(wiring).of(List.of(map)).consumers(),
                                    List.of()));
        }
    }

    private static void check(RuleContext context, Wiring wiring, int map, List<String> keys) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        for (ResolvedBinding binding : wiring.profile().bindings()) {
            Slot slot = set.slots().slot(binding.slot().orElseThrow());
            boolean leftOut =
                    slot.contract().equals(set.content(map))
                            && slot.key().isPresent()
                            && !keys.contains(slot.key().get().text());
            if (leftOut) {
                String key = slot.key().get().text();
                reporter.report(
                        wiring.profile(),
                        Finding.of(
                                        FindingKinds.KEY_UNFIT,
                                        binding.declared().at(),
                                        List.of(slot.text(), set.slots().slot(map).text()),
                                        set.text(map)
                                                + " leaves out "
                                                + set.text(slot)
                                                + ": the enum has no constant "
                                                + key
                                                + ".")
                                .withAny("did you mean", NearNames.of(key, keys))
                                .with("constants", String.join(", ", keys))
                                .with("do", "correct the key, or ask for a map by String")
                                .touching(
                                        reporter.impact(wiring).of(List.of(map)).consumers(),
                                        List.of()));
            }
        }
    }
}
