package dev.patientharbor.plan;

import dev.patientharbor.model.Slot;
import java.util.Comparator;
import java.util.Optional;

/**
 * One need of one consumer, and what it receives.
 *
 * @param consumer the binary name of the class that asks
 * @param need the name of the parameter or field
 * @param place where it asks
 * @param as the slot that the consumer fills here; empty for an entry consumer
 * @param slot what it asks for
 * @param answer what it receives
 */
public record Row(
        String consumer,
        String need,
        NeedPlace place,
        Optional<Slot> as,
        Slot slot,
        Answer answer) {

    /** By consumer, place, and the slot that the consumer fills; an entry consumer first. */
    public static final Comparator<Row> ORDER =
            Comparator.comparing(Row::consumer)
                    .thenComparing(Row::place)
                    .thenComparing(row -> row.as().map(Slot::text).orElse(""));
}
