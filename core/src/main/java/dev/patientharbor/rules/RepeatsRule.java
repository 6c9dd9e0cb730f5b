package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.inherited.ResolvedProfile.Repeats;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.Reporter;
import dev.patientharbor.ruling.Rule;
import dev.patientharbor.ruling.Wording;
import java.util.List;

/** Tells words of a child that say what it inherits anyway. */
final class RepeatsRule implements Rule {

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        for (ResolvedProfile owner : set.profiles()) {
            for (Repeats repeats : owner.repeats()) {
                reporter.report(
                        owner,
                        profile -> profile.number() == owner.number(),
                        List.of(),
                        finding(set, owner, repeats));
            }
        }
    }

    private static Finding finding(ResolvedSet set, ResolvedProfile owner, Repeats repeats) {
        String slot = set.text(repeats.slot());
        String what =
                repeats.binding()
                        .map(one -> "binds " + slot + " to " + new Wording(set).supply(one))
                        .orElse("has a list of decorators for " + slot);
        return Finding.of(
                        FindingKinds.SAYS_NOTHING_NEW,
                        repeats.at(),
                        slot,
                        owner.declared().name() + " " + what + ", as it does without this line.")
                .with("inherited", repeats.inherited().text())
                .with("do", "take the line out");
    }
}
