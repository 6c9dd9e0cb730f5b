package dev.patientharbor.explaining;

import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.texts.RequiredArgument;

/**
 * Who receives something. Immutable.
 *
 * @param row the need by which it is received; for a depth above 1 the need by which somebody is
 *     received who holds it
 * @param depth 1 for who receives it directly, 2 for who receives one of these, and so on
 */
public record ReceivingNeed(RosterRow row, int depth) {
    public ReceivingNeed {
        RequiredArgument.of(row, "row");
    }
}
