package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.wiring.Wiring;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Reports bindings that a narrower one hides from somebody, where their author could not know: the
 * narrower one stands in another profile that does not build on this one.
 */
final class HiddenRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        for (Wiring wiring : context.set().checked()) {
            if (wiring.profile().statesWholeProfileOnly()) {
                continue; // nothing is narrower than the whole profile
            }
            Set<ResolvedBinding> seen = new HashSet<>();
            for (int i = 0; i < wiring.reachedSize(); i++) {
                int seat = wiring.reached(i);
                Optional<ResolvedBinding> narrow = wiring.outcome(seat).binding();
                if (narrow.isPresent() && seen.add(narrow.get())) {
                    check(context, wiring, narrow.get(), seat);
                }
            }
        }
    }

    private static void check(
            RuleContext context, Wiring wiring, ResolvedBinding narrow, int seat) {
        FindingReporter reporter = context.reporter();
        ResolvedProfile profile = wiring.profile();
        boolean outside = false;
        for (int said : context.set().slotsOutward(seat)) {
            Optional<ResolvedBinding> broad = profile.binding(said);
            if (outside
                    && broad.isPresent()
                    && !isKnownTo(context.set(), broad.get(), narrow)
                    && !supplySame(broad.get(), narrow)) {
                reporter.report(
                        profile,
                        finding(context, broad.get(), narrow)
                                .touching(
                                        reporter.impact(wiring)
                                                .of(narrow.slot().stream().toList())
                                                .consumers(),
                                        List.of()));
                return;
            }
            outside |= broad.filter(binding -> binding == narrow).isPresent();
        }
    }

    /** Whether the narrower binding was written with the broader one in view. */
    private static boolean isKnownTo(
            ResolvedSet set, ResolvedBinding broad, ResolvedBinding narrow) {
        return set.profile(narrow.owner()).isOrExtends(broad.owner());
    }

    private static boolean supplySame(ResolvedBinding broad, ResolvedBinding narrow) {
        return broad.declared().saysTheSameAs(narrow.declared());
    }

    private static Finding finding(
            RuleContext context, ResolvedBinding broad, ResolvedBinding narrow) {
        ResolvedSet set = context.set();
        int slot = narrow.slot().orElseThrow();
        String text = set.text(slot);
        String level = set.whoStandsAt(set.slots().level(slot));
        String owner = set.profile(narrow.owner()).declared().name();
        return Finding.of(
                        FindingKinds.HIDDEN_BY_NARROWER,
                        broad.declared().at(),
                        List.of(text, "within", level),
                        text
                                + " is bound to "
                                + context.wording().supply(broad)
                                + " here, and that does not reach "
                                + level
                                + ".")
                .with(
                        "hidden by",
                        context.wording().supply(narrow)
                                + " at "
                                + narrow.declared().at().text()
                                + ", in "
                                + owner)
                .with(
                        "do",
                        "bind it for "
                                + level
                                + " too, or remove the narrower one there: "
                                + text
                                + ": removed");
    }
}
