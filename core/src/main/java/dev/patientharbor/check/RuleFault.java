package dev.patientharbor.check;

import dev.patientharbor.texts.RequiredArgument;

/**
 * A fault of the tool itself: a rule that could not come to its end. What it would have told is not
 * known; the other rules have told theirs.
 *
 * @param rule the name of the rule's class
 * @param cause what went wrong
 */
public record RuleFault(String rule, Throwable cause) {
    public RuleFault {
        RequiredArgument.of(rule, "rule");
        RequiredArgument.of(cause, "cause");
    }
}
