package dev.patientharbor.needs;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where a need may look, as numbers. A level is the whole profile, an area, a consumer in some
 * area, a limited way through these, or one of them for what stands there without its layers, or
 * for one of several that nothing binds there.
 */
public final class LevelTable {

    /** The whole profile. */
    public static final int WHOLE = 0;

    private enum Kind {
        WHOLE,
        AREA,
        CONSUMER,
        LIMITED,
        WITHOUT,
        CORE,
        VARIANT
    }

    /** What makes a level: two of the same making are one. */
    private record Making(Kind kind, String name, int parent, List<Integer> way) {
        String text() {
            return kind.name() + ' ' + name + ' ' + parent + ' ' + way;
        }
    }

    /**
     * One level.
     *
     * @param making what makes it; the parent encloses it
     * @param words the level at which profiles say what holds here: itself, but for a consumer the
     *     same in whatever area it stands
     * @param search where a need that starts here looks, nearest first
     */
    private record Level(Making making, int words, int[] search) {}

    private final List<Level> levels = new ArrayList<>();
    private final Map<String, Integer> numbers = new HashMap<>();

    public LevelTable() {
        levels.add(
                new Level(new Making(Kind.WHOLE, "", WHOLE, List.of()), WHOLE, new int[] {WHOLE}));
    }

    /** The level of an area; an enclosing one must be there already. */
    public int addArea(String name, int parent) {
        Making making = new Making(Kind.AREA, name, parent, List.of());
        return numbers.computeIfAbsent(making.text(), key -> create(making, levels.size()));
    }

    /** The level at which profiles say what holds for a consumer, whatever its area. */
    public int consumer(String className) {
        return consumerIn(className, WHOLE);
    }

    /** A consumer that starts in an area, or in the whole profile. */
    public int consumerIn(String className, int area) {
        Making making = new Making(Kind.CONSUMER, className, area, List.of());
        if (area == WHOLE) {
            return numbers.computeIfAbsent(making.text(), key -> create(making, levels.size()));
        }
        int words = consumer(className);
        return numbers.computeIfAbsent(making.text(), key -> create(making, words));
    }

    /** A way from a level that looks at some levels only. */
    public int limited(int start, List<Integer> way) {
        Level from = levels.get(start);
        Making making = new Making(Kind.LIMITED, from.making().name(), start, way);
        return numbers.computeIfAbsent(
                making.text(),
                key -> {
                    int[] search = way.stream().mapToInt(Integer::intValue).toArray();
                    levels.add(new Level(making, from.words(), search));
                    return levels.size() - 1;
                });
    }

    /** A level as one sees it who is a member of what it asks for: without that slot. */
    public int withoutSlot(int level, int slot) {
        return withSearch(Kind.WITHOUT, level, List.of(slot));
    }

    /** The slot that is left out at a level; none for most. */
    public Optional<Integer> leftOut(int level) {
        return special(Kind.WITHOUT, level);
    }

    /** How one looks further outward who found something at a level that is looked at. */
    public int outside(int level, int found) {
        Making making = levels.get(level).making();
        if (making.kind() != Kind.LIMITED) {
            return parent(found);
        }
        List<Integer> way = making.way();
        return limited(making.parent(), way.subList(way.indexOf(found) + 1, way.size()));
    }

    /** Where what is bound at a level stands without its layers, to be put into others. */
    public int core(int level) {
        return withSearch(Kind.CORE, level, List.of());
    }

    /**
     * Where one of several stands that fill a slot which nothing binds: members of a collection.
     *
     * @param own the slot in which it stands by itself
     */
    public int variant(int level, int own) {
        return withSearch(Kind.VARIANT, level, List.of(own));
    }

    /** The slot in which one of several stands by itself; none at most levels. */
    public Optional<Integer> variant(int level) {
        return special(Kind.VARIANT, level);
    }

    /** A level that looks where another one does. */
    private int withSearch(Kind kind, int level, List<Integer> way) {
        Level of = levels.get(level);
        Making making = new Making(kind, of.making().name(), level, way);
        return numbers.computeIfAbsent(
                making.text(),
                key -> {
                    levels.add(new Level(making, of.words(), of.search()));
                    return levels.size() - 1;
                });
    }

    private Optional<Integer> special(Kind kind, int level) {
        Making making = levels.get(level).making();
        return making.kind() == kind ? Optional.of(making.way().get(0)) : Optional.empty();
    }

    public boolean isCore(int level) {
        return levels.get(level).making().kind() == Kind.CORE;
    }

    private int create(Making making, int words) {
        int number = levels.size();
        int[] outer = levels.get(making.parent()).search();
        int[] search = new int[outer.length + 1];
        search[0] = number;
        System.arraycopy(outer, 0, search, 1, outer.length);
        levels.add(new Level(making, words, search));
        return number;
    }

    /** Where a need that starts at a level looks, nearest first. */
    public int[] search(int level) {
        return levels.get(level).search();
    }

    /** The level at which profiles say what holds at a level. */
    public int words(int level) {
        return levels.get(level).words();
    }

    /** What encloses a level; the whole profile encloses itself. */
    public int parent(int level) {
        return levels.get(level).making().parent();
    }

    /** Whether it is a consumer's, rather than an area's or the whole profile's. */
    public boolean isConsumer(int level) {
        return levels.get(level).making().kind() == Kind.CONSUMER;
    }

    /** The area or the consumer's class; empty for the whole profile. */
    public Optional<String> name(int level) {
        return Optional.of(levels.get(level).making().name()).filter(name -> !name.isEmpty());
    }

    /** Whether the whole profile is looked at from a level. */
    public boolean reachesWhole(int level) {
        if (level == WHOLE) {
            return true;
        }
        for (int one : search(level)) {
            if (one == WHOLE) {
                return true;
            }
        }
        return false;
    }

    /** Whether one level encloses another, directly or not; none encloses itself. */
    public boolean encloses(int outer, int inner) {
        int at = inner;
        while (at != WHOLE) {
            at = parent(at);
            if (at == outer) {
                return true;
            }
        }
        return false;
    }
}
