package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;

/** Reports interfaces that carry a mark which only says something on a class. */
final class PointlessMarkRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        FindingReporter reporter = context.reporter();
        for (String name : context.set().pointlessMarks()) {
            reporter.report(
                    Finding.of(
                                    FindingKinds.POINTLESS_MARK,
                                    SourcePosition.classNamed(name),
                                    name,
                                    context.set().names().shortName(name)
                                            + " is an interface and carries a name, a"
                                            + " qualifier or a scope, which is pointless:"
                                            + " it fills no slot.")
                            .with("do", "put the mark on the class that implements it"));
        }
    }
}
