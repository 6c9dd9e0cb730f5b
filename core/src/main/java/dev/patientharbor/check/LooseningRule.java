package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.model.Loosening;
import dev.patientharbor.names.Lookup;
import dev.patientharbor.resolve.ResolvedDemand;
import dev.patientharbor.resolve.ResolvedLoosening;
import dev.patientharbor.resolve.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import java.util.List;
import java.util.Optional;

/** Notes rules that a profile loosens, with the reason; tells those that it does not inherit. */
final class LooseningRule implements Rule {

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        for (ResolvedProfile owner : set.profiles()) {
            owner.loosened()
                    .forEach(
                            (loosening, demand) ->
                                    finding(set, owner, loosening, demand)
                                            .forEach(
                                                    one ->
                                                            reporter.report(
                                                                    owner,
                                                                    profile ->
                                                                            profile.isOrExtends(
                                                                                    owner.number()),
                                                                    List.of(),
                                                                    one)));
        }
    }

    private static List<Finding> finding(
            ResolvedSet set,
            ResolvedProfile owner,
            ResolvedLoosening loosening,
            Optional<ResolvedDemand> demand) {
        List<Lookup> unknown =
                loosening.names().stream().filter(one -> one.facts().isEmpty()).toList();
        if (!unknown.isEmpty()) {
            return unknown.stream().map(one -> NamesRule.finding(set, one)).toList();
        }
        Loosening declared = loosening.declared();
        String what =
                declared.kind().word()
                        + loosening.slot().map(slot -> " of " + set.text(slot)).orElse("");
        if (demand.isEmpty()) {
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
                        .with("rule", demand.get().declared().at().text()));
    }

    private static List<String> inherited(ResolvedSet set, ResolvedProfile owner) {
        return owner.demands().stream()
                .filter(one -> !owner.declared().terms().demands().contains(one.declared()))
                .map(
                        one ->
                                one.declared().kind().word()
                                        + one.slot()
                                                .map(slot -> " of " + set.text(slot))
                                                .orElse(""))
                .distinct()
                .toList();
    }
}
