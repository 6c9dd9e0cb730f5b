package dev.patientharbor.rules;

import dev.patientharbor.declared.StatedKeys.UnstatedKey;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import java.util.List;

/** Reports classes that should state their key and do not. */
final class StatedKeyRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        FindingReporter reporter = context.reporter();
        for (UnstatedKey unstated : context.set().unstatedKeys()) {
            reporter.report(
                    context.set().profile(unstated.owner()),
                    List.of(),
                    Finding.of(
                                    FindingKinds.KEY_UNSTATED,
                                    unstated.name().at(),
                                    unstated.name().text() + '#' + unstated.method(),
                                    unstated.name().text()
                                            + " does not state its key: "
                                            + unstated.method()
                                            + "() returns no constant that can be read.")
                            .with(
                                    "counts",
                                    "a method without parameters that does nothing but"
                                            + " return a text, a whole number or a constant of"
                                            + " an enum")
                            .with(
                                    "do",
                                    "bind it by hand: "
                                            + unstated.slot().contract().text()
                                            + "@KEY: "
                                            + unstated.name().text()));
        }
    }
}
