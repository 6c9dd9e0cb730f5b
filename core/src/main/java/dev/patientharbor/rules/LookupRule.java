package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.model.Written;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.Reporter;
import dev.patientharbor.ruling.Rule;

/** Tells lookup methods of the house that no body calls: a slip there would hide needs. */
final class LookupRule implements Rule {

    @Override
    public void check(ResolvedSet set, Reporter reporter) {
        for (Written method : set.declared().marks().lookup()) {
            if (!set.code().callsLookup(method.text())) {
                reporter.report(
                        Finding.of(
                                        FindingKinds.LOOKUP_UNSEEN,
                                        method.at(),
                                        method.text(),
                                        "No body calls "
                                                + method.text()
                                                + " with a constant class, so that no need comes of"
                                                + " it.")
                                .with("do", "correct the class and the method, or take it out"));
            }
        }
    }
}
