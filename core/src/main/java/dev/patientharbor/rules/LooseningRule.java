package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedLoosening;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.inherited.ResolvedProfile.LoosenedDemand;
import dev.patientharbor.model.Loosening;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import java.util.List;

/** Notes rules that a profile loosens, with the reason; reports those that it does not inherit. */
final class LooseningRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        FindingReporter reporter = context.reporter();
        for (ResolvedProfile owner : context.set().profiles()) {
            for (LoosenedDemand loosened : owner.loosenedDemands()) {
                for (Finding finding : findings(context.set(), owner, loosened)) {
                    reporter.report(owner, List.of(), finding);
                }
            }
        }
    }

    private static List<Finding> findings(
            ResolvedSet set, ResolvedProfile owner, LoosenedDemand loosened) {
        ResolvedLoosening loosening = loosened.loosening();
        List<NameLookup> unknown =
                loosening.names().stream().filter(lookup -> lookup.facts().isEmpty()).toList();
        if (!unknown.isEmpty()) {
            return unknown.stream().map(lookup -> NamesRule.finding(set, lookup)).toList();
        }
        Loosening declared = loosening.declared();
        String what =
                declared.kind().word()
                        + loosening.slot().map(slot -> " of " + set.text(slot)).orElse("");
        if (loosened.rule().isEmpty()) {
            return List.of(
                    Finding.of(
                                    FindingKinds.NOTHING_TO_CHANGE,
                                    declared.at(),
                                    what,
                                    owner.declared().name()
                                            + " loosens the rule "
                                            + what
                                            + ", and inherits none.")
                            .withAny("rules", inherited(set, owner))
                            .with("do", "take the line out, or correct it"));
        }
        return List.of(
                Finding.of(
                                FindingKinds.RULE_LOOSENED,
                                declared.at(),
                                what,
                                owner.declared().name()
                                        + " loosens the rule "
                                        + what
                                        + ": "
                                        + declared.because()
                                        + ".")
                        .with("rule", loosened.rule().get().declared().at().text()));
    }

    private static List<String> inherited(ResolvedSet set, ResolvedProfile owner) {
        return owner.demands().stream()
                .filter(demand -> !owner.declared().terms().demands().contains(demand.declared()))
                .map(
                        demand ->
                                demand.declared().kind().word()
                                        + demand.slot()
                                                .map(slot -> " of " + set.text(slot))
                                                .orElse(""))
                .distinct()
                .toList();
    }
}
