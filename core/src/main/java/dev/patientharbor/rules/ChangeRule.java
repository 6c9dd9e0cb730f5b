package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.SupplyEffect;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.Impact;
import dev.patientharbor.ruling.Inheritance;
import dev.patientharbor.ruling.LineToWrite;
import dev.patientharbor.ruling.Reporter;
import dev.patientharbor.ruling.Rule;
import dev.patientharbor.ruling.Wording;
import dev.patientharbor.wiring.Wiring;
import java.util.List;
import java.util.Optional;

/**
 * Tells words that remove or change what is not there, and slots that are left to be filled by a
 * child and never are.
 */
final class ChangeRule implements Rule {

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        LineToWrite lines = new LineToWrite(set);
        for (ResolvedProfile owner : set.profiles()) {
            for (ResolvedBinding binding : owner.changesNothing()) {
                reporter.report(owner, List.of(), changesNothing(set, binding));
            }
            for (ResolvedBinding binding : owner.own()) {
                boolean leftOpen = isTo(binding, SupplyEffect.LEAVES_OPEN);
                if (leftOpen && binding.slot().isPresent()) {
                    tellUnfilled(set, lines, reporter, binding);
                }
            }
        }
    }

    private static boolean isTo(ResolvedBinding binding, SupplyEffect effect) {
        return binding.declared().supply().effect() == effect;
    }

    private static Finding changesNothing(ResolvedSet set, ResolvedBinding binding) {
        String slot = set.text(binding.slot().orElseThrow());
        return Finding.of(
                        FindingKinds.NOTHING_TO_CHANGE,
                        binding.declared().at(),
                        slot,
                        slot
                                + (isTo(binding, SupplyEffect.REMOVES)
                                        ? " is removed"
                                        : " is changed")
                                + ", and no binding of it is inherited at this level.")
                .with(
                        "do",
                        isTo(binding, SupplyEffect.REMOVES)
                                        && !set.fillers(binding.slot().orElseThrow()).isEmpty()
                                ? "take the line out; or write none, if no class of the code is to"
                                        + " fill it"
                                : "take the line out, or name a supply");
    }

    private static void tellUnfilled(
            ResolvedSet set, LineToWrite lines, Reporter reporter, ResolvedBinding binding) {
        String slot = set.text(binding.slot().orElseThrow());
        Wording wording = new Wording(set);
        for (Wiring wiring : set.checked()) {
            if (Inheritance.holdsFor(binding, wiring.profile())) {
                String name = wiring.profile().declared().name();
                List<String> implementations =
                        wording.implementations(
                                set.slots().slot(binding.slot().orElseThrow()).contract());
                Impact.Touched touched =
                        reporter.impact(wiring).of(List.of(binding.slot().orElseThrow()));
                reporter.report(
                        wiring.profile(),
                        Finding.of(
                                        FindingKinds.UNMET_NEED,
                                        wiring.profile().declared().at(),
                                        set.slots().slot(binding.slot().orElseThrow()).text(),
                                        slot
                                                + " is left to be filled, and "
                                                + name
                                                + " does not fill it.")
                                .with("left open at", binding.declared().at().text())
                                .withAny("in the code", wording.shortNames(implementations))
                                .withAny(
                                        "write",
                                        new LineToWrite(set)
                                                        .fill(
                                                                set.slots()
                                                                        .slot(
                                                                                binding.slot()
                                                                                        .orElseThrow()),
                                                                Optional.empty(),
                                                                wiring.profile())
                                                        .stream()
                                                        .toList())
                                .touching(touched.consumers(), touched.entries()));
            }
        }
    }
}
