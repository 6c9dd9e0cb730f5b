package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.SupplyEffect;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/** Knows which bindings are used; asks only the profiles that inherit what their owner says. */
final class BindingUsesByOwner {

    private final ResolvedSet set;
    private final FindingReporter reporter;
    private final Map<Wiring, BindingUses> uses = new HashMap<>();
    private final Map<ResolvedBinding, Boolean> handOutNothing = new IdentityHashMap<>();

    BindingUsesByOwner(RuleContext context) {
        this.set = context.set();
        this.reporter = context.reporter();
    }

    boolean isUsed(ResolvedBinding binding) {
        ResolvedProfile owner = set.profile(binding.owner());
        // Mostly the profile that says it uses it.
        return set.wiring(owner).filter(wiring -> isUsed(binding, wiring)).isPresent()
                || reporter.eachHeir(owner).anyMatch(wiring -> isUsed(binding, wiring));
    }

    private boolean isUsed(ResolvedBinding binding, Wiring wiring) {
        return uses.computeIfAbsent(wiring, each -> new BindingUses(set, each))
                .has(
                        binding,
                        each -> handOutNothing.computeIfAbsent(each, this::mayHandOutNothing));
    }

    private boolean mayHandOutNothing(ResolvedBinding binding) {
        return binding.target().isPresent()
                || binding.declared().supply().effect() == SupplyEffect.LEAVES_EMPTY
                || set.lifetimes()
                        .oneOfClass(SlotOutcome.ofBinding(binding, List.of()))
                        .isPresent();
    }
}
