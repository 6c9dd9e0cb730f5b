package dev.patientharbor.explaining;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.texts.RequiredArgument;

/**
 * A rule that holds in a profile. Immutable.
 *
 * @param rule the rule, as a file says it: {@code never-real: PilotPager}
 * @param profile the profile that says it: that one or one that it extends
 * @param at where it is said
 */
public record RuleInForce(String rule, String profile, SourcePosition at) {
    public RuleInForce {
        RequiredArgument.of(rule, "rule");
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(at, "at");
    }
}
