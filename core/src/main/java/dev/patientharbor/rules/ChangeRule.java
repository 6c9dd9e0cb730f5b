package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.SupplyEffect;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.InheritanceCheck;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.wiring.Wiring;
import java.util.List;
import java.util.Optional;

/**
 * Reports statements that remove or change what is not there, and slots that are left to be filled
 * by a child and never are.
 */
final class ChangeRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        FindingReporter reporter = context.reporter();
        for (ResolvedProfile owner : context.set().profiles()) {
            for (ResolvedBinding binding : owner.needlessChanges()) {
                reporter.report(owner, List.of(), changesNothing(context.set(), binding));
            }
            for (ResolvedBinding binding : owner.ownBindings()) {
                boolean leftOpen = isTo(binding, SupplyEffect.LEAVES_OPEN);
                if (leftOpen && binding.slot().isPresent()) {
                    reportUnfilled(context, binding);
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

    private static void reportUnfilled(RuleContext context, ResolvedBinding binding) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        String slot = set.text(binding.slot().orElseThrow());
        FindingWording wording = context.wording();
        for (Wiring wiring : set.checked()) {
            if (InheritanceCheck.holdsFor(binding, wiring.profile())) {
                String name = wiring.profile().declared().name();
                List<String> implementations =
                        wording.implementations(
                                set.slots().slot(binding.slot().orElseThrow()).contract());
                reporter.report(
                        wiring,
                        List.of(binding.slot().orElseThrow()),
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
                                        context
                                                .lines()
                                                .fill(
                                                        set.slots()
                                                                .slot(binding.slot().orElseThrow()),
                                                        Optional.empty(),
                                                        wiring.profile())
                                                .stream()
                                                .toList()));
            }
        }
    }
}
