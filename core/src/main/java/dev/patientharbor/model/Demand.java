package dev.patientharbor.model;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.DemandKind;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import java.util.List;
import java.util.Optional;

/**
 * A rule of a profile: what must hold in it and in all that extend it.
 *
 * @param kind what is demanded
 * @param slot of which slot; of every slot if it is empty
 * @param words what is demanded of it: the keys, the decorator, what must not be touched, or
 *     nothing
 * @param lifetime the lifetime, for that kind
 * @param at where it stands
 */
public record Demand(
        DemandKind kind,
        Optional<Slot> slot,
        List<WrittenName> words,
        Optional<Lifetime> lifetime,
        SourcePosition at) {
    public Demand {
        words = List.copyOf(words);
    }
}
