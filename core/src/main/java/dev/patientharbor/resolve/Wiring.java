package dev.patientharbor.resolve;

import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.resolve.Outcome.NeedVisitor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Everything that the entry consumers of one profile lead to. */
public final class Wiring {

    private static final int NONE = -1;

    private final ResolvedProfile profile;
    private final SlotTable slots;
    private final SlotFiller filler;
    private final List<Integer> entries;
    private int[] reached = new int[16];
    private int count;
    private final List<Integer> unsound = new ArrayList<>(0);
    private final List<Integer> aliases = new ArrayList<>(0);
    private Outcome[] outcomes;
    private int[] reachedFrom;

    /**
     * One need on the way from an entry consumer: the object that asks, the class that asks for it,
     * and the need.
     */
    public record Step(int object, Blueprint consumer, Need need) {}

    Wiring(ResolvedProfile profile, SlotTable slots, SlotFiller filler, List<Integer> entries) {
        this.profile = profile;
        this.slots = slots;
        this.filler = filler;
        this.entries = List.copyOf(entries);
        outcomes = new Outcome[slots.size()];
        reachedFrom = new int[slots.size()];
        follow();
    }

    public ResolvedProfile profile() {
        return profile;
    }

    /** The slots of the entry consumers. */
    public List<Integer> entries() {
        return entries;
    }

    /** The number of slots that are asked for, those that stand in for others included. */
    public int reachedSize() {
        return count;
    }

    /** One of the slots that are asked for, by its place in line, nearest to the entries first. */
    public int reached(int place) {
        return reached[place];
    }

    /** The reached slots with which something is wrong, in that order. */
    public List<Integer> unsound() {
        return unsound;
    }

    /** The reached slots for which another stands in, in that order. */
    public List<Integer> aliases() {
        return aliases;
    }

    public boolean isReached(int slot) {
        return slot < outcomes.length && outcomes[slot] != null;
    }

    /** What fills a slot, reached or not. */
    public Outcome outcome(int slot) {
        return isReached(slot) ? outcomes[slot] : filler.fill(slot, profile);
    }

    /**
     * The need through which a slot was first reached; empty for an entry consumer and for a slot
     * that stands in.
     */
    public Optional<Step> firstStep(int slot) {
        int from = isReached(slot) ? reachedFrom[slot] : NONE;
        if (from == NONE) {
            return Optional.empty();
        }
        List<Step> steps = new ArrayList<>();
        outcomes[from].eachNeed(
                (consumer, need) -> {
                    if (need.slot() == slot) {
                        steps.add(new Step(from, consumer, need));
                    }
                });
        return Optional.of(steps.get(0));
    }

    /**
     * The slot at the end of the line of slots that stand in for one another; empty if the line is
     * a circle.
     */
    public Optional<Integer> settled(int slot) {
        int end = end(slot);
        return end == NONE ? Optional.empty() : Optional.of(end);
    }

    private int end(int slot) {
        int at = slot;
        for (int steps = 0; steps <= count; steps++) {
            Optional<Integer> next = outcome(at).next();
            if (next.isEmpty()) {
                return at;
            }
            at = next.get();
        }
        return NONE;
    }

    /** What a need for a slot receives; empty if the slots that stand in for it go in a circle. */
    public Optional<Outcome> answer(int slot) {
        return settled(slot).map(this::outcome);
    }

    /**
     * Hands over each need of the object in a slot, and the class that has it: the decorators' and
     * the core's.
     */
    public void eachNeed(int slot, NeedVisitor visitor) {
        outcomes[slot].eachNeed(visitor);
    }

    /** The slots to which the arrows of a reached slot lead: what it asks for, what stands in. */
    public int[] leadsTo(int slot) {
        Outcome outcome = outcomes[slot];
        return outcome.next().isEmpty() ? outcome.asks() : new int[] {outcome.next().get()};
    }

    /** How many needs receive what. */
    public Map<AnswerKind, Integer> answers() {
        int[] byKind = new int[AnswerKind.values().length];
        for (int i = 0; i < count; i++) {
            for (int asked : outcomes[reached[i]].asks()) {
                int end = outcomes[asked].next().isEmpty() ? asked : end(asked);
                byKind[end == NONE ? AnswerKind.UNMET.ordinal() : answerAt(end)]++;
            }
        }
        Map<AnswerKind, Integer> answers = new EnumMap<>(AnswerKind.class);
        for (AnswerKind kind : AnswerKind.values()) {
            if (byKind[kind.ordinal()] > 0) {
                answers.put(kind, byKind[kind.ordinal()]);
            }
        }
        return answers;
    }

    private int answerAt(int slot) {
        return outcomes[slot].answer().ordinal();
    }

    private void follow() {
        BitSet seen = new BitSet();
        for (int entry : entries) {
            enter(entry, NONE, seen);
        }
        for (int i = 0; i < count; i++) {
            int slot = reached[i];
            Outcome outcome = filler.fill(slot, profile);
            outcomes[slot] = outcome;
            if (!outcome.isSound()) {
                unsound.add(slot);
            }
            if (outcome.next().isPresent()) {
                aliases.add(slot);
                enter(outcome.next().get(), NONE, seen);
            }
            for (int asked : outcome.asks()) {
                enter(asked, slot, seen);
            }
        }
    }

    private void enter(int slot, int from, BitSet seen) {
        if (seen.get(slot)) {
            return;
        }
        seen.set(slot);
        if (slot >= outcomes.length) {
            int roomy = slots.size() + slots.size() / 2;
            outcomes = Arrays.copyOf(outcomes, roomy);
            reachedFrom = Arrays.copyOf(reachedFrom, roomy);
        }
        reachedFrom[slot] = from;
        if (count == reached.length) {
            reached = Arrays.copyOf(reached, 2 * count);
        }
        reached[count++] = slot;
    }
}
