package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.InheritanceCheck;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.ImplementationKind;
import java.util.List;
import java.util.Optional;

/** Reports classes that one binding calls real and another one a fake or a stub. */
final class TwoKindsRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        context.set()
                .bindings()
                .forEach(
                        binding ->
                                first(context.set(), binding)
                                        .ifPresent(first -> report(context, first, binding)));
    }

    private static void report(
            RuleContext context, ResolvedBinding first, ResolvedBinding binding) {
        FindingReporter reporter = context.reporter();
        reporter.report(
                context.set().profile(binding.owner()),
                heir -> InheritanceCheck.holdsFor(binding, heir),
                List.of(),
                finding(context.set(), maker(binding).orElseThrow(), first, binding));
    }

    /** The first binding of the same maker, if it calls it otherwise. */
    private static Optional<ResolvedBinding> first(ResolvedSet set, ResolvedBinding binding) {
        return maker(binding)
                .flatMap(set.bindingsAnywhere()::firstBy)
                .filter(first -> isReal(first) != isReal(binding));
    }

    private static Optional<String> maker(ResolvedBinding binding) {
        return binding.blueprint().map(Blueprint::maker);
    }

    private static boolean isReal(ResolvedBinding binding) {
        return !word(binding).isStandIn();
    }

    private static ImplementationKind word(ResolvedBinding binding) {
        return binding.declared().supply().kind().orElse(ImplementationKind.REAL);
    }

    private static Finding finding(
            ResolvedSet set, String maker, ResolvedBinding before, ResolvedBinding binding) {
        String name = set.names().shortName(maker);
        return Finding.of(
                        FindingKinds.TWO_KINDS,
                        binding.declared().at(),
                        maker,
                        name
                                + " is called "
                                + word(binding).word()
                                + " here, and "
                                + word(before).word()
                                + " at "
                                + before.declared().at().text()
                                + ".")
                .with("do", "call it the same wherever it is bound");
    }
}
