package dev.patientharbor.wiring;

import dev.patientharbor.wiring.SlotOutcome.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;

/** Follows seats that stand in for one another to the end of their line. */
final class AliasEnds {

    private static final int NONE = -1;

    /** The longest line whose end is not remembered: it is found again as fast. */
    private static final int SHORT = 8;

    private final Wiring wiring;

    /** The ends of long lines, as they were found. */
    private final Map<Integer, Integer> pastAliases = new ConcurrentHashMap<>(0);

    private final Map<Integer, Integer> received = new ConcurrentHashMap<>(0);

    AliasEnds(Wiring wiring) {
        this.wiring = wiring;
    }

    /**
     * Follows aliases from a seat to the first seat that is none; empty if the aliases are a
     * circle.
     */
    Optional<Integer> pastAliases(int seat) {
        return end(seat, Kind.ALIAS::equals, pastAliases);
    }

    /** Follows aliases, and goes behind what may be absent or is made when it is asked for. */
    Optional<Integer> received(int seat) {
        return end(seat, kind -> true, received);
    }

    /** The first seat in line that a class fills though nothing binds it. */
    Optional<Integer> filledAt(int seat) {
        int at = seat;
        for (int steps = 0; steps <= wiring.reachedSize(); steps++) {
            SlotOutcome outcome = wiring.outcome(at);
            if (outcome.filledBy().isPresent()) {
                return Optional.of(at);
            }
            if (outcome.next().isEmpty()) {
                return Optional.empty();
            }
            at = outcome.next().get();
        }
        return Optional.empty();
    }

    private Optional<Integer> end(int seat, Predicate<Kind> passes, Map<Integer, Integer> known) {
        if (wiring.outcome(seat).next().isEmpty()) {
            return Optional.of(seat);
        }
        List<Integer> line = new ArrayList<>(0);
        int at = seat;
        int end = NONE;
        while (line.size() <= wiring.reachedSize()) {
            Integer before = line.isEmpty() ? null : known.get(at);
            if (before != null) {
                end = before;
                break;
            }
            SlotOutcome outcome = wiring.outcome(at);
            if (outcome.next().isEmpty() || !passes.test(outcome.kind())) {
                end = at;
                break;
            }
            line.add(at);
            at = outcome.next().get();
        }
        // Of a long line each place is passed once, whoever asks.
        if (line.size() > SHORT) {
            for (int one : line) {
                known.put(one, end);
            }
        }
        return end == NONE ? Optional.empty() : Optional.of(end);
    }
}
