package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Where;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.Reporter;
import dev.patientharbor.ruling.Rule;

/** Tells interfaces that carry a mark which only says something on a class. */
final class PointlessMarkRule implements Rule {

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        for (String name : set.pointlessMarks()) {
            reporter.report(
                    Finding.of(
                                    FindingKinds.POINTLESS_MARK,
                                    Where.classNamed(name),
                                    name,
                                    set.names().shortName(name)
                                            + " is an interface and carries a name, a qualifier or"
                                            + " a scope, which is pointless: it fills no slot.")
                            .with("do", "put the mark on the class that implements it"));
        }
    }
}
