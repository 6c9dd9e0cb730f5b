package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.NearNames;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.Key;
import dev.patientharbor.model.Slot;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.LineToWrite;
import dev.patientharbor.ruling.Reporter;
import dev.patientharbor.ruling.Rule;
import dev.patientharbor.ruling.Wording;
import dev.patientharbor.wiring.Outcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Tells variants that a map by an enum leaves out, since their keys are no constants of it, and
 * constants for which it has no member.
 */
final class MapKeyRule implements Rule {

    /** A map, and the constants that it lacks. */
    private record Lack(int map, List<String> constants) {}

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        Map<Lack, List<Wiring>> lacking = new LinkedHashMap<>();
        for (Wiring wiring : set.checked()) {
            for (int i = 0; i < wiring.reachedSize(); i++) {
                int seat = wiring.reached(i);
                Outcome outcome = wiring.outcome(seat);
                Optional<List<String>> keys =
                        outcome.kind() == Outcome.Kind.COLLECTION
                                ? set.mapKeys(seat)
                                : Optional.empty();
                if (keys.isPresent() && outcome.binding().isEmpty()) {
                    check(set, reporter, wiring, seat, keys.get());
                }
                List<String> lack = lacking(set, outcome, keys.orElse(List.of()));
                if (!lack.isEmpty()) {
                    lacking.computeIfAbsent(new Lack(seat, lack), one -> new ArrayList<>(1))
                            .add(wiring);
                }
            }
        }
        LineToWrite lines = new LineToWrite(set);
        lacking.forEach((lack, wirings) -> report(set, lines, reporter, lack, wirings));
    }

    /** The constants without a member; none for a map that has none at all, which is told apart. */
    private static List<String> lacking(ResolvedSet set, Outcome outcome, List<String> keys) {
        if (outcome.candidates().isEmpty()) {
            return List.of();
        }
        List<String> lacking = new ArrayList<>(keys);
        for (int member : outcome.candidates()) {
            set.slots().slot(member).key().ifPresent(key -> lacking.remove(key.text()));
        }
        return lacking;
    }

    private static void report(
            ResolvedSet set,
            LineToWrite lines,
            Reporter reporter,
            Lack lack,
            List<Wiring> wirings) {
        Wording wording = new Wording(set);
        ResolvedProfile common = wording.common(wirings.stream().map(Wiring::profile).toList());
        int map = lack.map();
        Slot first = new Slot(set.content(map), Optional.of(Key.named(lack.constants().get(0))));
        Optional<String> line = lines.fill(first, Optional.empty(), common);
        for (Wiring wiring : wirings) {
            reporter.report(
                    wiring.profile(),
                    Finding.of(
                                    FindingKinds.CONSTANT_UNBOUND,
                                    common.declared().at(),
                                    set.slots().slot(map).text(),
                                    set.text(map)
                                            + " has no member for "
                                            + wording.list(lack.constants())
                                            + ".")
                            .with("reached by", wording.path(wiring, map))
                            .with(
                                    line.isPresent() ? "write" : "do",
                                    line.orElseGet(() -> lines.otherwise(first)))
                            .touching(
                                    reporter.impact(wiring).of(List.of(map)).consumers(),
                                    List.of()));
        }
    }

    private static void check(
            ResolvedSet set, Reporter reporter, Wiring wiring, int map, List<String> keys) {
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
