package dev.patientharbor.needs;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where a need looks, and where profiles say what holds: the whole profile, an area, or a consumer
 * in some area.
 *
 * <p>Some levels are made of others: one that looks at a few levels only, one that leaves a slot
 * out, one where an object stands without its decorators, and one for each of several classes that
 * fill a slot which nothing binds. Two levels of the same making are the same object.
 */
public final class BindingLevel {

    private enum Kind {
        WHOLE,
        AREA,
        CONSUMER,
        LIMITED,
        WITHOUT,
        CORE,
        VARIANT
    }

    private final Map<String, BindingLevel> known;
    private final Kind kind;
    private final String name;
    private final BindingLevel parent;
    private final BindingLevel whole;
    private final BindingLevel statedAt;
    private final Optional<Integer> slot;
    private final int number;
    private final List<BindingLevel> search;

    private BindingLevel() {
        known = new HashMap<>();
        kind = Kind.WHOLE;
        name = "";
        parent = this;
        whole = this;
        statedAt = this;
        slot = Optional.empty();
        number = 0;
        search = List.of(this);
    }

    private BindingLevel(
            Kind kind, String name, BindingLevel parent, Optional<BindingLevel> statedAt) {
        known = parent.known;
        whole = parent.whole;
        this.kind = kind;
        this.name = name;
        this.parent = parent;
        this.statedAt = statedAt.orElse(this);
        slot = Optional.empty();
        number = known.size() + 1;
        List<BindingLevel> outward = new ArrayList<>(List.of(this));
        outward.addAll(parent.search);
        search = List.copyOf(outward);
    }

    private BindingLevel(
            Kind kind, BindingLevel of, Optional<Integer> slot, List<BindingLevel> search) {
        known = of.known;
        whole = of.whole;
        this.kind = kind;
        name = of.name;
        parent = of;
        statedAt = of.statedAt;
        this.slot = slot;
        number = known.size() + 1;
        this.search = List.copyOf(search);
    }

    /** Makes a whole profile, from which all other levels are made; a new one each time. */
    public static BindingLevel newWhole() {
        return new BindingLevel();
    }

    /** Returns the level of an area in this one, or in the whole profile. */
    public BindingLevel area(String areaName) {
        String key = Kind.AREA.name() + ' ' + areaName + ' ' + number;
        BindingLevel found = known.get(key);
        return found != null
                ? found
                : add(key, new BindingLevel(Kind.AREA, areaName, this, Optional.empty()));
    }

    /**
     * Returns the level of a consumer that starts in this area. What profiles say for a consumer,
     * they say for it in the whole profile.
     */
    public BindingLevel consumer(String className) {
        String key = Kind.CONSUMER.name() + ' ' + className + ' ' + number;
        BindingLevel found = known.get(key);
        if (found != null) {
            return found;
        }
        Optional<BindingLevel> stated =
                isWhole() ? Optional.empty() : Optional.of(whole.consumer(className));
        return add(key, new BindingLevel(Kind.CONSUMER, className, this, stated));
    }

    /** Returns a level that starts here and looks at some levels only, nearest first. */
    public BindingLevel limited(List<BindingLevel> way) {
        return made(Kind.LIMITED, Optional.empty(), way);
    }

    /**
     * Returns the level at which a member of a collection looks that asks for the collection: its
     * own slot is left out.
     */
    public BindingLevel withoutSlot(int leftOut) {
        return made(Kind.WITHOUT, Optional.of(leftOut), search);
    }

    /** Returns the level at which what is bound here stands without its decorators. */
    public BindingLevel core() {
        return made(Kind.CORE, Optional.empty(), search);
    }

    /**
     * Returns the level at which one of several classes stands that fill a slot which nothing
     * binds.
     *
     * @param own the slot in which it stands by itself
     */
    public BindingLevel variant(int own) {
        return made(Kind.VARIANT, Optional.of(own), search);
    }

    /**
     * Returns the level from which a need looks further outward that found something at a given
     * level.
     */
    public BindingLevel outside(BindingLevel found) {
        return kind == Kind.LIMITED
                ? parent.limited(search.subList(search.indexOf(found) + 1, search.size()))
                : found.parent;
    }

    private BindingLevel made(Kind wanted, Optional<Integer> ofSlot, List<BindingLevel> way) {
        String steps =
                wanted == Kind.LIMITED
                        ? way.stream().map(BindingLevel::number).toList().toString()
                        : "";
        String key = wanted.name() + ' ' + number + ' ' + ofSlot.orElse(-1) + ' ' + steps;
        BindingLevel found = known.get(key);
        return found != null ? found : add(key, new BindingLevel(wanted, this, ofSlot, way));
    }

    private BindingLevel add(String key, BindingLevel level) {
        known.put(key, level);
        return level;
    }

    /** Its place among the levels of the same whole profile, from 0, which is that one. */
    public int number() {
        return number;
    }

    /** The levels at which a need that starts here looks, nearest first. */
    public List<BindingLevel> search() {
        return search;
    }

    /** The level at which profiles say what holds here. */
    public BindingLevel statedAt() {
        return statedAt;
    }

    /** What encloses it, or what it is made of; the whole profile encloses itself. */
    public BindingLevel parent() {
        return parent;
    }

    /** The area or the consumer's class; empty for the whole profile. */
    public Optional<String> name() {
        return Optional.of(name).filter(text -> !text.isEmpty());
    }

    public boolean isWhole() {
        return kind == Kind.WHOLE;
    }

    /** Whether it is a consumer's, rather than an area's or the whole profile's. */
    public boolean isConsumer() {
        return kind == Kind.CONSUMER;
    }

    /** Whether what is bound stands here without its decorators. */
    public boolean isCore() {
        return kind == Kind.CORE;
    }

    /** The slot that is left out here; none at most levels. */
    public Optional<Integer> leftOutSlot() {
        return kind == Kind.WITHOUT ? slot : Optional.empty();
    }

    /** The slot in which one of several classes stands by itself; none at most levels. */
    public Optional<Integer> variantSlot() {
        return kind == Kind.VARIANT ? slot : Optional.empty();
    }

    /** Whether the whole profile is looked at from here. */
    public boolean reachesWhole() {
        return search.contains(whole);
    }

    /** Whether it encloses another level, directly or not; none encloses itself. */
    public boolean encloses(BindingLevel inner) {
        BindingLevel at = inner;
        while (!at.isWhole()) {
            at = at.parent;
            if (at == this) {
                return true;
            }
        }
        return false;
    }
}
