package dev.patientharbor.model;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
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
public record DecoratorStatement(
        Slot slot,
        Optional<List<Decorator>> whole,
        List<WrittenName> drop,
        List<Decorator> innermost,
        List<Decorator> outermost,
        SourcePosition at) {
    public DecoratorStatement {
        whole = whole.map(List::copyOf);
        drop = List.copyOf(drop);
        innermost = List.copyOf(innermost);
        outermost = List.copyOf(outermost);
    }

    /** Returns every decorator that it adds. */
    public List<Decorator> added() {
        return Stream.of(whole.orElse(List.of()), innermost, outermost)
                .flatMap(List::stream)
                .toList();
    }

    /** Makes a statement of a whole list. */
    public static DecoratorStatement of(Slot slot, List<Decorator> whole, SourcePosition at) {
        return new DecoratorStatement(
                slot, Optional.of(whole), List.of(), List.of(), List.of(), at);
    }
}
