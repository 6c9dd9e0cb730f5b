package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FailureImpact;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.NameList;
import java.util.ArrayList;
import java.util.List;

/** Reports parents that do not exist, that go in a circle, or that disagree. */
final class ParentsRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        List<String> names = set.side().profileNames();
        for (ResolvedProfile owner : set.profiles()) {
            for (WrittenName parent : owner.unknownParents()) {
                reporter.report(
                        owner,
                        List.of(),
                        Finding.of(
                                        FindingKinds.UNKNOWN_PROFILE,
                                        parent.at(),
                                        parent.text(),
                                        "The profile "
                                                + owner.declared().name()
                                                + " extends "
                                                + parent.text()
                                                + ", and there is no profile of that name.")
                                .withAny("did you mean", set.side().nearProfiles(parent.text()))
                                .with("profiles", NameList.of(names))
                                .with(
                                        "so",
                                        "what it needs and does not find is not reported:"
                                                + " the missing parent may have it"));
            }
            if (set.wiring(owner).isPresent()) {
                for (String term : owner.termsInDispute()) {
                    reporter.report(owner, disputed(owner, term));
                }
                owner.clashes()
                        .forEach(
                                clash ->
                                        reporter.report(
                                                owner, disagreement(context, owner, clash)));
            }
        }
        for (List<Integer> cycle : set.extendsCycles()) {
            ResolvedProfile first = set.profile(cycle.get(0));
            reporter.report(
                    first,
                    profile -> cycle.stream().anyMatch(profile::isOrExtends),
                    List.of(),
                    cycleFinding(cycle.stream().map(names::get).toList(), first.declared().at()));
        }
    }

    private static Finding disputed(ResolvedProfile owner, String term) {
        String name = owner.declared().name();
        return Finding.of(
                        FindingKinds.PARENTS_DISAGREE,
                        owner.declared().at(),
                        term,
                        "The parents of " + name + " say different things of " + term + ".")
                .with("write", term + ": …     under " + name + "; until then the first one holds");
    }

    private static Finding cycleFinding(List<String> cycle, SourcePosition at) {
        List<String> path = new ArrayList<>(cycle);
        path.add(cycle.get(0));
        return Finding.of(
                        FindingKinds.EXTENDS_CYCLE,
                        at,
                        cycle,
                        "The profile " + cycle.get(0) + " extends itself.")
                .with("path", String.join(" → ", path))
                .with("do", "take one of these out of the other's extends");
    }

    private static Finding disagreement(
            RuleContext context, ResolvedProfile profile, ResolvedProfile.Clash clash) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        ResolvedProfile meet = set.profile(clash.meet());
        String slot = set.text(clash.slot());
        FailureImpact.TouchedConsumers touched =
                reporter.impact(set.wiring(profile).orElseThrow()).of(List.of(clash.slot()));
        return Finding.of(
                        FindingKinds.PARENTS_DISAGREE,
                        meet.declared().at(),
                        slot,
                        "The parents of "
                                + meet.declared().name()
                                + " say different things of "
                                + slot
                                + ".")
                .with("said at", clash.words().stream().map(SourcePosition::text).toList())
                .with(
                        "do",
                        "say in "
                                + meet.declared().name()
                                + " what holds; until then the first one does")
                .touching(touched.consumers(), touched.entries());
    }
}
