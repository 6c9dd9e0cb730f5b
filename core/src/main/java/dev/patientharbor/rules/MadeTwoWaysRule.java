package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.List;
import java.util.Optional;

/**
 * Reports a class of which there is one object, by a mark on it, and which two slots would make in
 * different ways: the first that is met decides.
 */
final class MadeTwoWaysRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        for (Wiring wiring : set.checked()) {
            for (int i = 0; i < wiring.reachedSize(); i++) {
                int seat = wiring.reached(i);
                SlotOutcome outcome = wiring.outcome(seat);
                Optional<Integer> core = outcome.core();
                if (core.isPresent()
                        && wiring.isReached(core.get())
                        && set.lifetimes().oneOfClass(outcome).isPresent()
                        && wiring.isMadeOtherwise(seat, core.get())) {
                    reporter.report(wiring.profile(), finding(set, wiring, seat, core.get()));
                }
            }
        }
    }

    private static Finding finding(ResolvedSet set, Wiring wiring, int seat, int first) {
        SlotOutcome outcome = wiring.outcome(seat);
        String name = outcome.blueprint().orElseThrow().className();
        SourcePosition at =
                outcome.binding()
                        .map(binding -> binding.declared().at())
                        .orElseGet(() -> SourcePosition.classNamed(name));
        return Finding.of(
                        FindingKinds.MADE_TWO_WAYS,
                        at,
                        List.of(name, set.slots().slot(seat).text()),
                        "There is one "
                                + set.names().shortName(name)
                                + ", by the mark on it, and "
                                + named(set, seat)
                                + " would make it in another way than "
                                + named(set, first)
                                + " does.")
                .with("so", "it is made as " + named(set, first) + " says")
                .with("do", "say the same of both, or give this binding a lifetime: shared");
    }

    private static String named(ResolvedSet set, int seat) {
        BindingLevel level = set.slots().level(seat);
        return level.name()
                .map(name -> set.text(seat) + " in " + set.levelText(level))
                .orElse(set.text(seat));
    }
}
