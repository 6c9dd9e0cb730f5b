package dev.patientharbor.model;

import dev.patientharbor.finding.SourcePosition;
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
        List<WrittenName> words,
        Optional<Lifetime> lifetime,
        SourcePosition at) {
    public Demand {
        words = List.copyOf(words);
    }

    /** What may be demanded. */
    public enum Kind {
        /** No fake, stub or mock anywhere. */
        NO_STAND_INS("stand-ins"),
        /** These keys of a contract are served. */
        KEYS("keys"),
        /** This decorator is the outermost. */
        OUTERMOST("outermost"),
        /** The real thing, whatever the key and the level. */
        MUST_BE_REAL("must-be-real"),
        /** Never the real thing, whatever the key and the level, used or not. */
        NEVER_REAL("never-real"),
        /** It lives as long as that. */
        LIFETIME("lifetimes");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        /** The word that says it, as in a file. */
        public String word() {
            return word;
        }
    }
}
