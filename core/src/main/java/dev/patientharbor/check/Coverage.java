package dev.patientharbor.check;

import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * How real each environment is: which slots are filled by what, where the real thing is met for the
 * first time, and what no profile ever uses.
 *
 * @param profiles the profiles that are not partial, from the desk to the real thing
 * @param slots the slots that are asked for, by contract and key
 * @param neverReal the needs that meet a stand-in wherever they are met
 * @param unused the classes of the code that could fill one of the slots, and do in no profile;
 *     binary names, sorted
 */
public record Coverage(
        List<String> profiles, List<Use> slots, List<NeverReal> neverReal, List<String> unused) {
    public Coverage {
        RequiredArgument.of(profiles, "profiles");
        RequiredArgument.of(slots, "slots");
        RequiredArgument.of(neverReal, "neverReal");
        RequiredArgument.of(unused, "unused");
        profiles = List.copyOf(profiles);
        slots = List.copyOf(slots);
        neverReal = List.copyOf(neverReal);
        unused = List.copyOf(unused);
    }

    /**
     * How one slot is filled, profile by profile.
     *
     * @param slot the slot
     * @param kinds what it receives in each profile, in the order of kinds; nothing where nobody
     *     asks
     * @param firstReal the first profile in which somebody receives the real thing
     * @param bypassedBy the consumers that make or fetch one by themselves as well, whatever a
     *     profile says; binary names, sorted
     */
    public record Use(
            Slot slot,
            List<Set<AnswerKind>> kinds,
            Optional<String> firstReal,
            List<String> bypassedBy) {
        public Use {
            RequiredArgument.of(slot, "slot");
            RequiredArgument.of(kinds, "kinds");
            RequiredArgument.of(firstReal, "firstReal");
            RequiredArgument.of(bypassedBy, "bypassedBy");
            bypassedBy = List.copyOf(bypassedBy);
            kinds =
                    kinds.stream()
                            .map(kind -> Collections.unmodifiableSet(new LinkedHashSet<>(kind)))
                            .toList();
        }
    }

    /**
     * A need that no profile meets with the real thing; its consumer is a binary name, or the name
     * of what is no class.
     */
    public record NeverReal(String consumer, String need, Slot slot) {
        public NeverReal {
            RequiredArgument.of(consumer, "consumer");
            RequiredArgument.of(need, "need");
            RequiredArgument.of(slot, "slot");
        }
    }
}
