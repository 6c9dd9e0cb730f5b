package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.SupplyEffect;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.FailureImpact;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.InheritanceCheck;
import dev.patientharbor.ruling.Rule;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.wiring.Wiring;
import java.util.List;
import java.util.Optional;

/**
 * Reports words that remove or change what is not there, and slots that are left to be filled by a
 * child and never are.
 */
final class ChangeRule implements Rule {

    @Override
    public void check(RuleContext context) {
        for (ResolvedProfile owner : context.set().profiles()) {
            for (ResolvedBinding binding : owner.needlessChanges()) {
                context.reporter().report(owner, List.of(), changesNothing(context.set(), binding));
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
        String slot = context.set().text(binding.slot().orElseThrow());
        FindingWording wording = context.wording();
        for (Wiring wiring : context.set().checked()) {
            if (InheritanceCheck.holdsFor(binding, wiring.profile())) {
                String name = wiring.profile().declared().name();
                List<String> implementations =
                        wording.implementations(
                                context.set()
                                        .slots()
                                        .slot(binding.slot().orElseThrow())
                                        .contract());
                FailureImpact.TouchedConsumers touched =
                        context.reporter().impact(wiring).of(List.of(binding.slot().orElseThrow()));
                context.reporter()
                        .report(
                                wiring.profile(),
                                Finding.of(
                                                FindingKinds.UNMET_NEED,
                                                wiring.profile().declared().at(),
                                                context.set()
                                                        .slots()
                                                        .slot(binding.slot().orElseThrow())
                                                        .text(),
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
                                                                context.set()
                                                                        .slots()
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
