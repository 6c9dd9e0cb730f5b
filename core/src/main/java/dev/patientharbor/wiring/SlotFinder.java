package dev.patientharbor.wiring;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.declared.AreaTable;
import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedReach;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.terms.ReachRange;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.types.Carrier;
import dev.patientharbor.types.GenericTypes;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Finds in which slot at which level the answer to a need stands: the nearest level that is within
 * the need's reach and binds the slot.
 */
public final class SlotFinder {

    private final SlotTable slots;
    private final AreaTable areas;
    private final GenericTypes generics;

    public SlotFinder(SlotTable slots, AreaTable areas, GenericTypes generics) {
        this.generics = generics;
        this.slots = slots;
        this.areas = areas;
    }

    /**
     * The seat of the answer to a need of an object: a slot at a level.
     *
     * @param seat where the object stands
     * @param consumer the class that asks, the object's or a decorator's
     */
    int seatFor(int seat, ClassFacts consumer, Need need, ResolvedProfile profile) {
        if (holdsItself(seat, need)) {
            BindingLevel from = limited(start(seat, consumer, profile), consumer, need, profile);
            return ask(need.slot(), from.withoutSlot(slots.wholeSlot(seat)), profile);
        }
        if (profile.statesWholeProfileOnly() && slots.level(seat).isWhole()) {
            return ask(need.slot(), slots.whole(), profile);
        }
        BindingLevel start = start(seat, consumer, profile);
        return ask(need.slot(), limited(start, consumer, need, profile), profile);
    }

    /** The levels at which a need is looked for, nearest first. */
    SearchedLevels searched(int seat, ClassFacts consumer, Need need, ResolvedProfile profile) {
        BindingLevel start = start(seat, consumer, profile);
        Optional<ResolvedReach> reach = reach(consumer, need, profile);
        return new SearchedLevels(
                start.search(),
                reach.map(limit -> limited(start, limit)).orElse(start).search(),
                reach);
    }

    /**
     * Whether an object would be a member of a collection that it asks for: what is made of many is
     * not one of these.
     */
    private boolean holdsItself(int seat, Need need) {
        if (!slots.holdsMany(need.slot())
                || !(slots.slot(seat).contract() instanceof ClassType itself)) {
            return false;
        }
        TypeRef member = Carrier.innermost(slots.slot(need.slot()).contract());
        return member.equals(itself)
                || generics.seenAs(itself, SlotTable.className(member)).type().isPresent();
    }

    /**
     * Where the needs of an object start: at the area at which its binding stands, or at its
     * class's own area if that is inside; and before that at what is said for the class as a
     * consumer.
     */
    private BindingLevel start(int seat, ClassFacts consumer, ResolvedProfile profile) {
        BindingLevel level = slots.level(seat);
        boolean isBeside = level.isCore() || level.variantSlot().isPresent();
        BindingLevel bound = isBeside ? level.parent() : level;
        BindingLevel own = areas.of(consumer);
        BindingLevel area = bound.encloses(own) ? own : bound;
        BindingLevel words = slots.whole().consumer(consumer.name());
        return profile.statesAt(words) && !area.isConsumer()
                ? area.consumer(consumer.name())
                : area;
    }

    private BindingLevel limited(
            BindingLevel start, ClassFacts consumer, Need need, ResolvedProfile profile) {
        return reach(consumer, need, profile).map(limit -> limited(start, limit)).orElse(start);
    }

    /** What limits how far a need looks: what is said of it by name, or of its slot. */
    private Optional<ResolvedReach> reach(ClassFacts consumer, Need need, ResolvedProfile profile) {
        if (profile.reaches().isEmpty()) {
            return Optional.empty();
        }
        BindingLevel words = slots.whole().consumer(consumer.name());
        Optional<ResolvedReach> reach = Optional.empty();
        for (ResolvedReach one : profile.reaches()) {
            if (one.level() == words) {
                if (one.declared().need().text().equals(need.name())) {
                    return Optional.of(one);
                }
                if (reach.isEmpty()
                        && one.slot().filter(slot -> slots.isFor(need.slot(), slot)).isPresent()) {
                    reach = Optional.of(one);
                }
            }
        }
        return reach;
    }

    private BindingLevel limited(BindingLevel start, ResolvedReach reach) {
        List<BindingLevel> way = new ArrayList<>();
        BindingLevel area = start.isConsumer() ? start.parent() : start;
        for (BindingLevel level : start.search()) {
            boolean own = level == start || level == area;
            boolean wanted =
                    switch (reach.declared().range()) {
                        case NEAREST -> true;
                        case OWN -> own;
                        case OUTSIDE -> !own || level.isWhole();
                        case UP_TO ->
                                reach.upTo().isEmpty()
                                        || level == reach.upTo().get()
                                        || reach.upTo().get().encloses(level);
                    };
            if (wanted) {
                way.add(level);
            }
        }
        // An area that does not enclose the consumer is reported, and limits nothing.
        boolean isUnlimited =
                reach.declared().range() == ReachRange.NEAREST
                        || reach.declared().range() == ReachRange.UP_TO && way.isEmpty();
        return isUnlimited ? start : start.limited(way);
    }

    /** The seat of what a slot gives to those who look from a level. */
    int ask(int slot, BindingLevel level, ResolvedProfile profile) {
        if (level.variantSlot().isPresent()) {
            return slots.at(slot, level);
        }
        if (level.leftOutSlot().isPresent()) {
            BindingLevel all = level.parent();
            boolean isCollected = slots.holdsMany(slot) && find(slot, all, profile).isEmpty();
            return isCollected ? slots.at(slot, level) : ask(slot, all, profile);
        }
        BindingLevel from = level;
        if (profile.statesWholeProfileOnly() && level.reachesWhole()) {
            from = slots.whole();
        }
        if (from.isWhole()) {
            // Whatever is said there, and if nothing is.
            return slots.at(slot, from);
        }
        Optional<BindingLevel> layered = Optional.empty();
        for (BindingLevel at : from.search()) {
            BindingLevel words = at.statedAt();
            if (!at.isWhole() && !profile.statesAt(words)) {
                continue;
            }
            int said = slots.at(slot, words);
            Optional<ResolvedBinding> binding = profile.binding(said);
            if (binding.isPresent()) {
                return binding.get().target().isPresent()
                        ? slots.at(slot, from)
                        : slots.at(slot, layered.orElse(at));
            }
            if (layered.isEmpty() && !at.isWhole() && profile.decoratesAt(said)) {
                layered = Optional.of(at);
            }
        }
        return unbound(slot, from, layered, profile);
    }

    /** What nothing binds depends on who asks, if it is found by way of other slots. */
    private int unbound(
            int slot, BindingLevel from, Optional<BindingLevel> layered, ResolvedProfile profile) {
        boolean byOthers =
                Carrier.of(slots.slot(slot).contract()).isPresent()
                        || !from.reachesWhole()
                        || !fitting(slot, from, profile).isEmpty();
        if (byOthers) {
            return slots.at(slot, from);
        }
        return slots.at(slot, layered.orElse(slots.whole()));
    }

    /** The level at which what fills a slot stands that nothing binds, seen from a level. */
    BindingLevel layeredAt(int slot, BindingLevel level, ResolvedProfile profile) {
        for (BindingLevel at : level.search()) {
            BindingLevel words = at.statedAt();
            if (!at.isWhole()
                    && profile.statesAt(words)
                    && profile.decoratesAt(slots.at(slot, words))) {
                return at;
            }
        }
        return slots.whole();
    }

    /**
     * The bound slots of the same class and key that fit a slot which is not bound exactly: raw
     * ones, and those that a raw or open one allows.
     */
    List<Integer> fitting(int slot, BindingLevel level, ResolvedProfile profile) {
        List<Integer> alike = slots.ofSameClassAndKey(slot);
        if (alike.size() == 1 || !(slots.slot(slot).contract() instanceof ClassType wanted)) {
            return List.of();
        }
        List<Integer> fitting = new ArrayList<>(0);
        for (int other : List.copyOf(alike)) {
            if (other != slots.wholeSlot(slot)
                    && isServedBy(wanted, slots.slot(other).contract())
                    && find(other, level, profile).isPresent()) {
                fitting.add(other);
            }
        }
        return fitting;
    }

    /** Whether a slot of one contract may serve who asks for another one of the same class. */
    private boolean isServedBy(ClassType wanted, TypeRef offered) {
        boolean raw = offered instanceof ClassType type && type.arguments().isEmpty();
        return raw || isOpen(wanted) && generics.allows(wanted, offered);
    }

    /**
     * Whether a slot is one of the variants of a contract: a slot of that contract, or one that a
     * raw or open one allows.
     */
    boolean isVariant(int slot, TypeRef contract) {
        TypeRef of = slots.slot(slot).contract();
        return of.equals(contract)
                || contract instanceof ClassType wanted
                        && isOpen(wanted)
                        && generics.allows(wanted, of);
    }

    /** The binding of a slot that holds for those who look from a level, and where it stands. */
    Optional<FoundBinding> find(int slot, BindingLevel level, ResolvedProfile profile) {
        for (BindingLevel at : level.search()) {
            int said = slots.at(slot, at.statedAt());
            Optional<ResolvedBinding> binding = profile.binding(said);
            if (binding.isPresent()) {
                return Optional.of(new FoundBinding(binding.get(), at));
            }
        }
        return Optional.empty();
    }

    /** A binding, and the level at which it was found. */
    record FoundBinding(ResolvedBinding binding, BindingLevel level) {}

    /** Whether a slot is of a class, with whatever arguments. */
    private static boolean isOpen(ClassType type) {
        return type.arguments().isEmpty() || !type.isExact();
    }
}
