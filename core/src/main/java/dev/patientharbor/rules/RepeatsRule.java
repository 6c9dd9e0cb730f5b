package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.inherited.ResolvedProfile.RepeatedStatement;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import java.util.List;

/** Reports statements of a child that repeat what it inherits anyway. */
final class RepeatsRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        FindingReporter reporter = context.reporter();
        for (ResolvedProfile owner : context.set().profiles()) {
            for (RepeatedStatement repeats : owner.repeatedStatements()) {
                reporter.report(
                        owner,
                        profile -> profile.profileNumber() == owner.profileNumber(),
                        List.of(),
                        finding(context, owner, repeats));
            }
        }
    }

    private static Finding finding(
            RuleContext context, ResolvedProfile owner, RepeatedStatement repeats) {
        String slot = context.set().text(repeats.slot());
        String what =
                repeats.binding()
                        .map(
                                binding ->
                                        "binds "
                                                + slot
                                                + " to "
                                                + context.wording().supply(binding))
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
