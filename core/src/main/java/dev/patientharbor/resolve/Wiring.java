package dev.patientharbor.resolve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;

/** Everything that the entry consumers of one profile lead to. */
public final class Wiring {

    private final ResolvedProfile profile;
    private final SlotTable slots;
    private final SlotFiller filler;
    private final List<Integer> entries;
    private final List<Integer> reached = new ArrayList<>();
    private Outcome[] outcomes;
    private Step[] firstStep;

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
        firstStep = new Step[slots.size()];
        follow();
    }

    public ResolvedProfile profile() {
        return profile;
    }

    /** The slots of the entry consumers. */
    public List<Integer> entries() {
        return entries;
    }

    /**
     * Every slot that is asked for, those that stand in for others included, nearest to the entries
     * first.
     */
    public List<Integer> reached() {
        return reached;
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
        return Optional.ofNullable(firstStep[slot]);
    }

    /**
     * The slot at the end of the line of slots that stand in for one another; empty if the line is
     * a circle.
     */
    public Optional<Integer> settled(int slot) {
        int at = slot;
        for (int steps = 0; steps <= reached.size(); steps++) {
            Optional<Integer> next = outcome(at).next();
            if (next.isEmpty()) {
                return Optional.of(at);
            }
            at = next.get();
        }
        return Optional.empty();
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
        Outcome outcome = outcomes[slot];
        List<ResolvedDecorator> decorators = outcome.decorators();
        for (int i = 0; i < decorators.size(); i++) {
            ResolvedDecorator decorator = decorators.get(i);
            if (decorators.subList(0, i).stream().noneMatch(decorator::isOfSameClassAs)) {
                Need inner = decorator.inner().get(0);
                Blueprint blueprint = decorator.blueprint().orElseThrow();
                for (Need need : blueprint.needs()) {
                    if (need != inner) {
                        visitor.visit(blueprint, need);
                    }
                }
            }
        }
        if (outcome.blueprint().isPresent()) {
            for (Need need : outcome.blueprint().get().needs()) {
                visitor.visit(outcome.blueprint().get(), need);
            }
        }
    }

    /** Receives needs. */
    public interface NeedVisitor {
        void visit(Blueprint consumer, Need need);
    }

    private void follow() {
        BitSet seen = new BitSet();
        for (int entry : entries) {
            enter(entry, seen);
        }
        for (int i = 0; i < reached.size(); i++) {
            int slot = reached.get(i);
            Outcome outcome = filler.fill(slot, profile);
            grow(slots.size());
            outcomes[slot] = outcome;
            outcome.next().ifPresent(next -> enter(next, seen));
            eachNeed(
                    slot,
                    (consumer, need) -> {
                        if (enter(need.slot(), seen)) {
                            firstStep[need.slot()] = new Step(slot, consumer, need);
                        }
                    });
        }
    }

    private boolean enter(int slot, BitSet seen) {
        if (seen.get(slot)) {
            return false;
        }
        seen.set(slot);
        return reached.add(slot);
    }

    private void grow(int size) {
        if (size > outcomes.length) {
            int roomy = size + size / 2;
            outcomes = Arrays.copyOf(outcomes, roomy);
            firstStep = Arrays.copyOf(firstStep, roomy);
        }
    }
}
