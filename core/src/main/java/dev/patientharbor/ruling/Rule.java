package dev.patientharbor.ruling;

import dev.patientharbor.resolve.ResolvedSet;

/**
 * One kind of mistake, looked for in all profiles at once. Has no state; may be used by several
 * threads.
 */
public interface Rule {
    void check(ResolvedSet set, Reporter reporter);
}
