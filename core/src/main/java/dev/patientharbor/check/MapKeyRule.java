package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.NearNames;
import dev.patientharbor.model.Slot;
import dev.patientharbor.resolve.Outcome;
import dev.patientharbor.resolve.ResolvedBinding;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.Wiring;
import java.util.List;
import java.util.Optional;

/** Tells variants that a map by an enum leaves out, since their keys are no constants of it. */
final class MapKeyRule implements Rule {

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        for (Wiring wiring : set.checked()) {
            for (int i = 0; i < wiring.reachedSize(); i++) {
                int seat = wiring.reached(i);
                Outcome outcome = wiring.outcome(seat);
                if (outcome.kind() == Outcome.Kind.COLLECTION && outcome.binding().isEmpty()) {
                    Optional<List<String>> keys = set.mapKeys(seat);
                    keys.ifPresent(known -> check(set, reporter, wiring, seat, known));
                }
            }
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
                                        slot.text() + ' ' + set.slots().slot(map).text(),
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
