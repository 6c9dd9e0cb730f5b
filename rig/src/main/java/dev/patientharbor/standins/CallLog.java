package dev.patientharbor.standins;

import java.util.Collection;
import java.util.function.Supplier;

/** Is told each call of a mock. May be used by several threads. */
public interface CallLog {

    /** Adds a call of a consumer. */
    void add(Call call);

    /**
     * A call that counts as long as its mock still knows it: one that only said what to answer, or
     * only verified another, is no call of a consumer.
     *
     * @param token the call, as the mock knows it
     * @param known all calls that the mock knows when it is asked, the very tokens; one supplier
     *     for each mock
     */
    void add(Call call, Object token, Supplier<? extends Collection<?>> known);
}
