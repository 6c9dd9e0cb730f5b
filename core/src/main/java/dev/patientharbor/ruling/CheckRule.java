package dev.patientharbor.ruling;

/**
 * One kind of mistake, looked for in all profiles at once. Has no state; may be used by several
 * threads.
 */
public interface CheckRule {
    void check(RuleContext context);
}
