package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.model.Profile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.NameSearch;
import java.util.List;
import java.util.Set;

/** Reports names in the order of environments that are no profile, or a partial one. */
final class OrderRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        if (!set.side().isFirst()) {
            return; // it is the same on all sides
        }
        List<String> known =
                set.declared().profiles().stream()
                        .filter(profile -> !profile.partial())
                        .map(Profile::name)
                        .toList();
        NameSearch search = new NameSearch(known);
        Set<String> names = Set.copyOf(known);
        for (WrittenName name : set.declared().order()) {
            if (!names.contains(name.text())) {
                reporter.report(
                        Finding.of(
                                        FindingKinds.UNKNOWN_PROFILE,
                                        name.at(),
                                        name.text(),
                                        "The order of environments names "
                                                + name.text()
                                                + ", and no profile that is checked has"
                                                + " that name.")
                                .withAny("did you mean", search.near(name.text()))
                                .withAny("profiles", known)
                                .with("do", "correct the name, or take it out"));
            }
        }
    }
}
