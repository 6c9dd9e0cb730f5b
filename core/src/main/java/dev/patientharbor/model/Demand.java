package dev.patientharbor.model;

import dev.patientharbor.finding.Where;
import java.util.List;
import java.util.Optional;

/**
 * A rule of a profile: what must hold in it and in all that extend it.
 *
 * @param kind what is demanded
 * @param slot of which slot; of every slot if it is empty
 * @param words what is demanded of it: the keys, the decorator, or nothing
 * @param lifetime the lifetime, for that kind
 * @param at where it stands
 */
public record Demand(
        Kind kind,
        Optional<Slot> slot,
        List<Written> words,
        Optional<Lifetime> lifetime,
        Where at) {
    public Demand {
        words = List.copyOf(words);
    }

    /** What may be demanded. */
    public enum Kind {
        /** No fake, stub or mock anywhere. */
        NO_STAND_INS,
        /** These keys of a contract are served. */
        KEYS,
        /** This decorator is the outermost. */
        OUTERMOST,
        /** The real thing, whatever the key and the level. */
        MUST_BE_REAL,
        /** Never the real thing, whatever the key and the level, used or not. */
        NEVER_REAL,
        /** It lives as long as that. */
        LIFETIME
    }
}
