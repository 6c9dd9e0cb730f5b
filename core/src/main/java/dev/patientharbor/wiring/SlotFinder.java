package dev.patientharbor.wiring;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.declared.AreaTable;
import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedReach;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.Reach;
import dev.patientharbor.model.TypeRef;
import dev.patientharbor.model.TypeRef.ClassType;
import dev.patientharbor.needs.LevelTable;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.SlotTable;
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
    private final LevelTable levels;
    private final AreaTable areas;
    private final GenericTypes generics;

    public SlotFinder(SlotTable slots, LevelTable levels, AreaTable areas, GenericTypes generics) {
        this.generics = generics;
        this.slots = slots;
        this.levels = levels;
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
            int from = limited(start(seat, consumer, profile), consumer, need, profile);
            return ask(need.slot(), levels.withoutSlot(from, slots.plain(seat)), profile);
        }
        if (profile.statesWholeProfileOnly() && slots.level(seat) == LevelTable.WHOLE) {
            return ask(need.slot(), LevelTable.WHOLE, profile);
        }
        int start = start(seat, consumer, profile);
        return ask(need.slot(), limited(start, consumer, need, profile), profile);
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
    private int start(int seat, ClassFacts consumer, ResolvedProfile profile) {
        int level = slots.level(seat);
        boolean isBeside = levels.isCore(level) || levels.variant(level).isPresent();
        int bound = isBeside ? levels.parent(level) : level;
        int own = areas.of(consumer);
        int area = levels.encloses(bound, own) ? own : bound;
        int words = levels.consumer(consumer.name());
        return profile.statesAt(words) && !levels.isConsumer(area)
                ? levels.consumerIn(consumer.name(), area)
                : area;
    }

    private int limited(int start, ClassFacts consumer, Need need, ResolvedProfile profile) {
        int words = levels.consumer(consumer.name());
        Optional<ResolvedReach> reach = Optional.empty();
        for (ResolvedReach one : profile.reaches()) {
            if (one.level() == words) {
                boolean byName = one.declared().need().text().equals(need.name());
                if (byName) {
                    return limited(start, one);
                }
                if (reach.isEmpty()
                        && one.slot().filter(slot -> slots.isFor(need.slot(), slot)).isPresent()) {
                    reach = Optional.of(one);
                }
            }
        }
        return reach.map(limit -> limited(start, limit)).orElse(start);
    }

    private int limited(int start, ResolvedReach reach) {
        List<Integer> way = new ArrayList<>();
        int area = levels.isConsumer(start) ? levels.parent(start) : start;
        for (int level : levels.search(start)) {
            boolean own = level == start || level == area;
            boolean wanted =
                    switch (reach.declared().range()) {
                        case NEAREST -> true;
                        case OWN -> own;
                        case OUTSIDE -> !own || level == LevelTable.WHOLE;
                        case UP_TO ->
                                reach.upTo().isEmpty()
                                        || level == reach.upTo().get()
                                        || levels.encloses(reach.upTo().get(), level);
                    };
            if (wanted) {
                way.add(level);
            }
        }
        // An area that does not enclose the consumer is told, and limits nothing.
        boolean isUnlimited =
                reach.declared().range() == Reach.Range.NEAREST
                        || reach.declared().range() == Reach.Range.UP_TO && way.isEmpty();
        return isUnlimited ? start : levels.limited(start, way);
    }

    /** The seat of what a slot gives to those who look from a level. */
    int ask(int slot, int level, ResolvedProfile profile) {
        if (levels.variant(level).isPresent()) {
            return slots.at(slot, level);
        }
        if (levels.leftOut(level).isPresent()) {
            int whole = levels.parent(level);
            boolean isCollected = slots.holdsMany(slot) && find(slot, whole, profile).isEmpty();
            return isCollected ? slots.at(slot, level) : ask(slot, whole, profile);
        }
        int from = level;
        if (profile.statesWholeProfileOnly() && levels.reachesWhole(level)) {
            from = LevelTable.WHOLE;
        }
        int layered = -1;
        for (int at : levels.search(from)) {
            int words = levels.words(at);
            if (at != LevelTable.WHOLE && !profile.statesAt(words)) {
                continue;
            }
            int said = slots.at(slot, words);
            Optional<ResolvedBinding> binding = profile.binding(said);
            if (binding.isPresent()) {
                return binding.get().target().isPresent()
                        ? slots.at(slot, from)
                        : slots.at(slot, layered >= 0 ? layered : at);
            }
            if (layered < 0 && at != LevelTable.WHOLE && profile.decoratesAt(said)) {
                layered = at;
            }
        }
        return unbound(slot, from, layered, profile);
    }

    /** What nothing binds depends on who asks, if it is found by way of other slots. */
    private int unbound(int slot, int from, int layered, ResolvedProfile profile) {
        boolean byOthers =
                Carrier.of(slots.slot(slot).contract()).isPresent()
                        || !levels.reachesWhole(from)
                        || !fitting(slot, from, profile).isEmpty();
        if (byOthers) {
            return slots.at(slot, from);
        }
        return slots.at(slot, Math.max(layered, LevelTable.WHOLE));
    }

    /** The level at which what fills a slot stands that nothing binds, seen from a level. */
    int layeredAt(int slot, int level, ResolvedProfile profile) {
        for (int at : levels.search(level)) {
            int words = levels.words(at);
            if (at != LevelTable.WHOLE
                    && profile.statesAt(words)
                    && profile.decoratesAt(slots.at(slot, words))) {
                return at;
            }
        }
        return LevelTable.WHOLE;
    }

    /**
     * The bound slots of the same class and key that fit a slot which is not bound exactly: raw
     * ones, and those that a raw or open one allows.
     */
    List<Integer> fitting(int slot, int level, ResolvedProfile profile) {
        List<Integer> alike = slots.ofSameClassAndKey(slot);
        if (alike.size() == 1 || !(slots.slot(slot).contract() instanceof ClassType wanted)) {
            return List.of();
        }
        List<Integer> fitting = new ArrayList<>(0);
        for (int other : List.copyOf(alike)) {
            if (other != slots.plain(slot)
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
    Optional<FoundBinding> find(int slot, int level, ResolvedProfile profile) {
        for (int at : levels.search(level)) {
            int said = slots.at(slot, levels.words(at));
            Optional<ResolvedBinding> binding = profile.binding(said);
            if (binding.isPresent()) {
                return Optional.of(new FoundBinding(binding.get(), at));
            }
        }
        return Optional.empty();
    }

    /** A binding, and the level at which it was found. */
    record FoundBinding(ResolvedBinding binding, int level) {}

    /** Whether a slot is of a class, with whatever arguments. */
    private static boolean isOpen(ClassType type) {
        return type.arguments().isEmpty() || !type.isExact();
    }
}
