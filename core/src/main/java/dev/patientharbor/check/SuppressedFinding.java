package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.terms.Suppression;
import dev.patientharbor.texts.RequiredArgument;

/**
 * A finding that is not reported, and the suppression that holds it back.
 *
 * @param finding what was found; it counts against completeness all the same
 * @param by what suppresses it, with the reason
 */
public record SuppressedFinding(Finding finding, Suppression by) {
    public SuppressedFinding {
        RequiredArgument.of(finding, "finding");
        RequiredArgument.of(by, "by");
    }
}
