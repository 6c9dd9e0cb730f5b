package dev.patientharbor.model;

import dev.patientharbor.finding.Where;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What one profile says about the decorators of a slot: a whole list, or a change of the inherited
 * one. Lists are in the order in which a call meets the decorators, outermost first.
 *
 * @param slot the slot that is decorated
 * @param whole the whole list, in place of the inherited one
 * @param drop the names to take out of the inherited list, done first
 * @param innermost what to add next to the core
 * @param outermost what to add where a call arrives
 * @param at where it stands
 */
public record Decoration(
        Slot slot,
        Optional<List<Written>> whole,
        List<Written> drop,
        List<Written> innermost,
        List<Written> outermost,
        Where at) {
    public Decoration {
        whole = whole.map(List::copyOf);
        drop = List.copyOf(drop);
        innermost = List.copyOf(innermost);
        outermost = List.copyOf(outermost);
    }

    /** Every decorator that it names. */
    public List<Written> names() {
        return Stream.of(whole.orElse(List.of()), drop, innermost, outermost)
                .flatMap(List::stream)
                .toList();
    }

    /** A whole list. */
    public static Decoration of(Slot slot, List<Written> whole, Where at) {
        return new Decoration(slot, Optional.of(whole), List.of(), List.of(), List.of(), at);
    }
}
