package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.InheritanceCheck;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.Grounds;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** Reports bindings whose last day is over. */
public final class OverdueRule implements CheckRule {

    private final LocalDate today;

    OverdueRule(LocalDate today) {
        this.today = today;
    }

    @Override
    public void check(RuleContext context) {
        FindingReporter reporter = context.reporter();
        for (ResolvedProfile owner : context.set().profiles()) {
            for (ResolvedBinding binding : owner.ownBindings()) {
                Grounds grounds = binding.declared().grounds();
                if (grounds.isOver(today) && !isInherited(owner, binding)) {
                    String text =
                            binding.slot()
                                    .map(context.set()::text)
                                    .orElseGet(() -> binding.declared().slot().text());
                    String what =
                            "The binding of " + text + " to " + context.wording().supply(binding);
                    reporter.report(
                            owner,
                            profile -> InheritanceCheck.holdsFor(binding, profile),
                            List.of(),
                            finding(what, text, grounds, binding.declared().at()));
                }
            }
        }
    }

    /** Whether a change of another part has the date from what it changes: it is reported there. */
    private static boolean isInherited(ResolvedProfile owner, ResolvedBinding binding) {
        return Optional.ofNullable(owner.changedBindings().get(binding))
                .filter(
                        basis ->
                                basis.declared()
                                        .grounds()
                                        .until()
                                        .equals(binding.declared().grounds().until()))
                .isPresent();
    }

    public static Finding finding(String what, String cause, Grounds grounds, SourcePosition at) {
        return Finding.of(
                        FindingKinds.OVERDUE,
                        at,
                        cause,
                        what + " was to end on " + grounds.until().orElseThrow() + ".")
                .withAny("because", grounds.because().stream().toList())
                .withAny("owner", grounds.owner().stream().toList())
                .with("do", "end it, or set a later day: until: YYYY-MM-DD");
    }
}
