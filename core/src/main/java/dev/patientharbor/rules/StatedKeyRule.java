package dev.patientharbor.rules;

import dev.patientharbor.declared.StatedKeys.UnstatedKey;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.ruling.Rule;
import dev.patientharbor.ruling.RuleContext;
import java.util.List;

/** Tells classes that should state their key and do not. */
final class StatedKeyRule implements Rule {

    @Override
    public void check(RuleContext context) {
        for (UnstatedKey one : context.set().unstatedKeys()) {
            context.reporter()
                    .report(
                            context.set().profile(one.owner()),
                            List.of(),
                            Finding.of(
                                            FindingKinds.KEY_UNSTATED,
                                            one.name().at(),
                                            one.name().text() + '#' + one.method(),
                                            one.name().text()
                                                    + " does not state its key: "
                                                    + one.method()
                                                    + "() returns no constant that can be read.")
                                    .with(
                                            "counts",
                                            "a method without parameters that does nothing but"
                                                + " return a text, a whole number or a constant of"
                                                + " an enum")
                                    .with(
                                            "do",
                                            "bind it by hand: "
                                                    + one.slot().contract().text()
                                                    + "@KEY: "
                                                    + one.name().text()));
        }
    }
}
