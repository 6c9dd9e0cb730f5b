package dev.patientharbor.wiring;

import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.wiring.SlotOutcome.Kind;
import java.util.Arrays;

/**
 * What fills the seats of one profile, and the seats for which these ask. What each profile asks of
 * all its seats stands in plain arrays: looking into ten thousand outcomes takes longer than
 * following their arrows.
 */
final class SeatTable {

    /** All is well with it. */
    private static final int SOUND = 1;

    /** It fills its seat in the same way for whoever says the same. */
    private static final int ALIKE = 2;

    /** It asks for the same seats for whoever fills its seat in the same way. */
    private static final int ASKS_THE_SAME = 4;

    /** A binding says so. */
    private static final int BOUND = 8;

    /** It leads to what it asks for, and nowhere else. */
    private static final int ASKS_ONLY = 16;

    /** What is received is told by another seat. */
    private static final byte BY_ANOTHER = -1;

    private static final AnswerKind[] ANSWERS = AnswerKind.values();

    private SlotOutcome[] outcomes;
    private int[][] needs;
    private byte[] traits;
    private byte[] answers;

    /** Makes a table with room for a number of seats. */
    SeatTable(int size) {
        outcomes = new SlotOutcome[size];
        needs = new int[size][];
        traits = new byte[size];
        answers = new byte[size];
    }

    /** Makes room for a larger number of seats. */
    void makeRoom(int size) {
        outcomes = Arrays.copyOf(outcomes, size);
        needs = Arrays.copyOf(needs, size);
        traits = Arrays.copyOf(traits, size);
        answers = Arrays.copyOf(answers, size);
    }

    /** What fills a seat; null for one that is not reached. */
    SlotOutcome outcome(int seat) {
        return seat < outcomes.length ? outcomes[seat] : null;
    }

    /**
     * Fills a seat.
     *
     * @param asked the seats for which the outcome asks, one for each need
     * @param same whether they are the same for whoever fills the seat in the same way
     */
    void fill(int seat, SlotOutcome outcome, int[] asked, boolean same) {
        boolean byAnother = outcome.next().isPresent();
        boolean asksOnly =
                !byAnother && outcome.kind() != Kind.COLLECTION && outcome.core().isEmpty();
        outcomes[seat] = outcome;
        needs[seat] = asked;
        answers[seat] = byAnother ? BY_ANOTHER : (byte) outcome.answer().ordinal();
        traits[seat] =
                (byte)
                        ((outcome.isSound() ? SOUND : 0)
                                | (outcome.standsAlone() ? ALIKE : 0)
                                | (same ? ASKS_THE_SAME : 0)
                                | (outcome.binding().isPresent() ? BOUND : 0)
                                | (asksOnly ? ASKS_ONLY : 0));
    }

    /** Fills a seat as another table does. */
    void fillAs(SeatTable other, int seat) {
        outcomes[seat] = other.outcomes[seat];
        needs[seat] = other.needs[seat];
        traits[seat] = other.traits[seat];
        answers[seat] = other.answers[seat];
    }

    /** The seats for which a filled one asks, one for each need. */
    int[] needs(int seat) {
        return needs[seat];
    }

    /** Whether all is well with what fills a seat, as far as it can be told from it alone. */
    boolean isSound(int seat) {
        return is(seat, SOUND);
    }

    /** Whether a seat is filled, and in the same way for whoever says the same of it. */
    boolean isAlike(int seat) {
        return seat < traits.length && is(seat, ALIKE);
    }

    /** Whether a filled seat asks for the same seats in every plain profile that fills it so. */
    boolean asksTheSame(int seat) {
        return is(seat, ASKS_THE_SAME);
    }

    /** Whether a binding fills a filled seat. */
    boolean isBound(int seat) {
        return is(seat, BOUND);
    }

    /** Whether a filled seat leads to what it asks for, and nowhere else. */
    boolean asksOnly(int seat) {
        return is(seat, ASKS_ONLY);
    }

    private boolean is(int seat, int trait) {
        return (traits[seat] & trait) != 0;
    }

    /** What a need for a filled seat receives; null where another seat tells. */
    AnswerKind answer(int seat) {
        return answers[seat] == BY_ANOTHER ? null : ANSWERS[answers[seat]];
    }
}
