package dev.patientharbor.wiring;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.NeedReader;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.wiring.SlotOutcome.Kind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Everything that the entry consumers of one profile lead to, as seats: a seat is a slot at a
 * level, and in the whole profile it has the number of the slot.
 */
public final class Wiring {

    private static final int NONE = -1;
    private static final int[] NOWHERE = {};

    private final ResolvedProfile profile;
    private final SlotTable slots;
    private final SlotFiller filler;
    private final List<Integer> entries;

    /** The seat in which the one object of each class stands, where a mark says that it is one. */
    private final Map<String, Integer> oneOfClass = new HashMap<>();

    private final AliasEnds ends = new AliasEnds(this);

    private int[] reached = new int[16];
    private int count;
    private final List<Integer> unsound = new ArrayList<>(0);
    private final List<Integer> aliases = new ArrayList<>(0);
    private final SeatTable seats;
    private int[] reachedFrom;

    /** Those that were asked for last: whoever asks goes on with its next need. */
    private volatile Steps lastSteps = new Steps(NONE, Map.of());

    /** The places that were asked for last. */
    private volatile Unlike lastUnlike;

    /**
     * One need on the way from an entry consumer: the seat of the object that asks, the class that
     * asks, and the need.
     */
    public record Step(int object, Blueprint consumer, Need need) {}

    /** The first step to each seat for which the object in a seat asks. */
    private record Steps(int object, Map<Integer, Step> bySeat) {}

    /** The places of what another profile does not have in the same way. */
    private record Unlike(Optional<Wiring> other, int[] places) {}

    /** Receives needs, each with the seat to which it leads. */
    public interface NeedVisitor {
        void visit(Blueprint consumer, Need need, int asked);
    }

    /**
     * @param entries the seats of the entry consumers: slots of the whole profile
     * @param besides slots that are asked for in the whole profile too, after all that the entry
     *     consumers lead to
     * @param like an earlier profile of the same set: what both say in the same words is not worked
     *     out again
     */
    public Wiring(
            ResolvedProfile profile,
            SlotTable slots,
            SlotFiller filler,
            List<Integer> entries,
            List<Integer> besides,
            Optional<Wiring> like) {
        this.profile = profile;
        this.slots = slots;
        this.filler = filler;
        seats = new SeatTable(slots.size());
        reachedFrom = new int[slots.size()];
        this.entries = entries;
        Optional<Wiring> alike = like.filter(wiring -> wiring.isPlain() && isPlain());
        BitSet seen = new BitSet(slots.size());
        follow(this.entries, alike, seen);
        follow(besides, alike, seen);
    }

    /** Returns the wiring of the same profile that follows these slots as well. */
    public Wiring withAlso(List<Integer> more) {
        return new Wiring(profile, slots, filler, entries, more, Optional.empty());
    }

    /** The marked members of a class that is built. */
    public List<NeedReader.MemberNeeds> marked(Blueprint blueprint) {
        return filler.blueprints().marked(blueprint);
    }

    private boolean isPlain() {
        return profile.statesWholeProfileOnly() && profile.isUndecorated();
    }

    public ResolvedProfile profile() {
        return profile;
    }

    /** The seats of the entry consumers. */
    public List<Integer> entries() {
        return entries;
    }

    /** The number of seats that are asked for, those that stand in for others included. */
    public int reachedSize() {
        return count;
    }

    /** One of the seats that are asked for, by its place in line, nearest to the entries first. */
    public int reached(int place) {
        return reached[place];
    }

    /**
     * The places in line of what another profile does not have in the same way: all of them for
     * none. Nobody may change them: rules ask for the same ones.
     */
    public int[] seatsUnlike(Optional<Wiring> other) {
        Unlike known = lastUnlike;
        if (known == null || !known.other().equals(other)) {
            known = new Unlike(other, placesUnlike(other.orElse(null)));
            lastUnlike = known;
        }
        return known.places();
    }

    private int[] placesUnlike(Wiring other) {
        int[] places = new int[count];
        int found = 0;
        for (int i = 0; i < count; i++) {
            int seat = reached[i];
            if (other == null || other.seats.outcome(seat) != seats.outcome(seat)) {
                places[found++] = i;
            }
        }
        return Arrays.copyOf(places, found);
    }

    /** The reached seats with which something is wrong, in that order. */
    public List<Integer> unsound() {
        return unsound;
    }

    /** The reached seats for which another stands in, in that order. */
    public List<Integer> aliases() {
        return aliases;
    }

    public boolean isReached(int seat) {
        return seats.outcome(seat) != null;
    }

    /** What fills a seat, reached or not. */
    public SlotOutcome outcome(int seat) {
        SlotOutcome reached = seats.outcome(seat);
        return reached != null ? reached : filler.fill(seat, profile);
    }

    /**
     * The need through which a seat was first reached, if need be by way of what stands in or
     * wraps; empty for an entry consumer.
     */
    public Optional<Step> firstStep(int seat) {
        int to = seat;
        int from = isReached(seat) ? reachedFrom[seat] : NONE;
        while (from != NONE && seats.outcome(from).blueprint().isEmpty() && !asks(from, to)) {
            to = from;
            from = reachedFrom[from];
        }
        if (from == NONE) {
            return Optional.empty();
        }
        Step step = steps(from).get(to);
        return step == null ? firstStep(from) : Optional.of(step);
    }

    private boolean asks(int seat, int asked) {
        return steps(seat).containsKey(asked);
    }

    /** The first need of an object that leads to a seat, by that seat. */
    private Map<Integer, Step> steps(int object) {
        Steps known = lastSteps;
        if (known.object() != object) {
            Map<Integer, Step> bySeat = new HashMap<>();
            eachNeed(
                    object,
                    (consumer, need, asked) ->
                            bySeat.putIfAbsent(asked, new Step(object, consumer, need)));
            known = new Steps(object, bySeat);
            lastSteps = known;
        }
        return known.bySeat();
    }

    /**
     * The seat at the end of the line of those that stand in for one another; empty if the line is
     * a circle.
     */
    public Optional<Integer> pastAliases(int seat) {
        return ends.pastAliases(seat);
    }

    /** Follows aliases, and goes behind what may be absent or is made when it is asked for. */
    public Optional<Integer> received(int seat) {
        return ends.received(seat);
    }

    /**
     * The seat that nothing binds and a class fills, on the way to what is received; its outcome
     * says what allowed it.
     */
    public Optional<Integer> filledAt(int seat) {
        return ends.filledAt(seat);
    }

    /** The seat at which an alias aims that is bound in this profile. */
    public int aliasSeat(ResolvedBinding alias) {
        BindingLevel level = slots.level(alias.slot().orElseThrow());
        int target = alias.target().orElseThrow();
        boolean itself = target == slots.wholeSlot(alias.slot().orElseThrow());
        return filler.finder().ask(target, itself ? slots.whole() : level, profile);
    }

    /** What a need receives; empty if what stands in goes in a circle. */
    public Optional<SlotOutcome> answer(int seat) {
        return pastAliases(seat).map(this::outcome);
    }

    /** Hands over each need of the object in a seat: the decorators' and the core's. */
    public void eachNeed(int seat, NeedVisitor visitor) {
        int[] asked = needs(seat);
        int[] next = {0};
        seats.outcome(seat)
                .eachNeed((consumer, need) -> visitor.visit(consumer, need, asked[next[0]++]));
    }

    /** The levels at which a need of the object in a seat is looked for, nearest first. */
    public SearchedLevels searched(int seat, Blueprint consumer, Need need) {
        return filler.finder().searched(seat, consumer.facts(), need, profile);
    }

    /**
     * The seats to which the needs of the object in a reached seat lead, one for each need. Nobody
     * may change them.
     */
    public int[] needs(int seat) {
        return seats.needs(seat);
    }

    private boolean asksForMany(SlotOutcome outcome) {
        for (int slot : outcome.asks()) {
            if (slots.holdsMany(slot)) {
                return true;
            }
        }
        return false;
    }

    private int[] asked(int seat, SlotOutcome outcome) {
        int[] asked = new int[outcome.asks().length];
        int[] next = {0};
        outcome.eachNeed(
                (consumer, need) ->
                        asked[next[0]++] =
                                filler.finder().seatFor(seat, consumer.facts(), need, profile));
        return asked;
    }

    /**
     * Whether the object of a seat, of whose class there is one that stands in another seat, would
     * be made in another way here: by another constructor, of other values, or of other objects.
     */
    public boolean isMadeOtherwise(int seat, int seatOfClass) {
        Blueprint here = seats.outcome(seat).blueprint().orElseThrow();
        Blueprint there = seats.outcome(seatOfClass).blueprint().orElseThrow();
        if (!here.values().equals(there.values())
                || !here.executable().equals(there.executable())) {
            return true;
        }
        for (Need need : here.needs()) {
            int mine = filler.finder().seatFor(seat, here.facts(), need, profile);
            int its = filler.finder().seatFor(seatOfClass, there.facts(), need, profile);
            if (mine != its && !received(mine).equals(received(its))) {
                return true;
            }
        }
        return false;
    }

    private boolean isPlain(int seat) {
        return profile.statesWholeProfileOnly() && slots.level(seat).isWhole();
    }

    /**
     * The seats to which the arrows of a reached seat lead: what it asks for, stands in, wraps or
     * holds.
     *
     * @param deferred whether what is only made when it is asked for counts
     */
    public int[] leadsTo(int seat, boolean deferred) {
        if (seats.asksOnly(seat)) {
            return needs(seat);
        }
        SlotOutcome outcome = seats.outcome(seat);
        if (outcome.next().isPresent()) {
            return outcome.kind() == Kind.DEFERRED && !deferred
                    ? NOWHERE
                    : new int[] {outcome.next().get()};
        }
        if (outcome.kind() == Kind.COLLECTION) {
            return outcome.members();
        }
        int[] needs = needs(seat);
        int[] all = Arrays.copyOf(needs, needs.length + 1);
        all[needs.length] = outcome.core().get();
        return all;
    }

    /** How many needs receive what. */
    public Map<AnswerKind, Integer> answers() {
        int[] byKind = new int[AnswerKind.values().length];
        for (int i = 0; i < count; i++) {
            addAnswers(reached[i], byKind);
        }
        Map<AnswerKind, Integer> answers = new EnumMap<>(AnswerKind.class);
        for (AnswerKind kind : AnswerKind.values()) {
            if (byKind[kind.ordinal()] > 0) {
                answers.put(kind, byKind[kind.ordinal()]);
            }
        }
        return answers;
    }

    private void addAnswers(int seat, int[] byKind) {
        for (int asked : needs(seat)) {
            byKind[receivedKind(asked).ordinal()]++;
        }
    }

    private AnswerKind receivedKind(int asked) {
        AnswerKind answer = seats.answer(asked);
        return answer != null
                ? answer
                : received(asked).map(end -> seats.outcome(end).answer()).orElse(AnswerKind.UNMET);
    }

    private void follow(List<Integer> from, Optional<Wiring> like, BitSet seen) {
        Wiring other = like.orElse(null);
        int first = count;
        for (int one : from) {
            enter(one, NONE, seen);
        }
        for (int i = first; i < count; i++) {
            follow(reached[i], other, seen);
        }
    }

    private void follow(int seat, Wiring other, BitSet seen) {
        if (other == null || !other.fillsAlone(seat, profile)) {
            fill(seat, filler.fill(seat, profile));
        } else if (other.oneOfClass.isEmpty() && other.seats.asksTheSame(seat)) {
            // Where the other one met no mark that says so, what is alike is not one of its class.
            seats.fillAs(other.seats, seat);
        } else {
            fill(seat, other.seats.outcome(seat));
        }
        if (!seats.isSound(seat)) {
            unsound.add(seat);
        }
        for (int to : leadsTo(seat, true)) {
            enter(to, seat, seen);
        }
    }

    private void fill(int seat, SlotOutcome filled) {
        SlotOutcome outcome = oneOfClass(seat, filled);
        boolean same = outcome.asks().length == 0 || isPlain(seat) && !asksForMany(outcome);
        seats.fill(seat, outcome, same ? outcome.asks() : asked(seat, outcome), same);
        if (outcome.kind() == Kind.ALIAS) {
            aliases.add(seat);
        }
    }

    /** Where a mark says that there is one object of a class, it is the one that was met first. */
    private SlotOutcome oneOfClass(int seat, SlotOutcome outcome) {
        Optional<String> name =
                outcome.core().isEmpty()
                        ? filler.lifetimes().oneOfClass(outcome)
                        : Optional.empty();
        if (name.isEmpty()) {
            return outcome;
        }
        int first = oneOfClass.computeIfAbsent(name.get(), key -> seat);
        return first == seat ? outcome : outcome.inLayers(first, outcome.decorators());
    }

    /** Whether another profile, saying the same of a seat, fills it in the same way. */
    private boolean fillsAlone(int seat, ResolvedProfile by) {
        return seats.isAlike(seat)
                && profile.saysTheSameAs(by, seat)
                && (seats.isBound(seat) || slots.standsAlone(seat));
    }

    private void enter(int seat, int from, BitSet seen) {
        if (seen.get(seat)) {
            return;
        }
        seen.set(seat);
        if (seat >= reachedFrom.length) {
            int roomy = slots.size() + slots.size() / 2;
            seats.makeRoom(roomy);
            reachedFrom = Arrays.copyOf(reachedFrom, roomy);
        }
        reachedFrom[seat] = from;
        if (count == reached.length) {
            reached = Arrays.copyOf(reached, 2 * count);
        }
        reached[count++] = seat;
    }
}
