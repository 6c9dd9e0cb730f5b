package dev.patientharbor.model;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import java.util.List;

/**
 * "This consumer receives that", in one profile alone.
 *
 * @param consumer the class that asks
 * @param slot what it asks for
 * @param received the core, or the decorators, outermost first, and the core; classes, or one of
 *     the words {@code mock}, {@code absent} and {@code canned}
 * @param at where it stands
 */
public record Expectation(
        WrittenName consumer, Slot slot, List<WrittenName> received, SourcePosition at) {
    public Expectation {
        received = List.copyOf(received);
    }
}
