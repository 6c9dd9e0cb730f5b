package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.WrittenName;

/** Reports lookup methods of the house that no body calls: a slip there would hide needs. */
final class LookupRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        FindingReporter reporter = context.reporter();
        for (WrittenName method : context.set().declared().marks().lookup()) {
            if (!context.set().code().callsLookup(method.text())) {
                reporter.report(
                        Finding.of(
                                        FindingKinds.LOOKUP_UNSEEN,
                                        method.at(),
                                        method.text(),
                                        "No body calls "
                                                + method.text()
                                                + " with a constant class, so that no need"
                                                + " comes of it.")
                                .with(
                                        "do",
                                        "correct the class and the method, or take it" + " out"));
            }
        }
    }
}
