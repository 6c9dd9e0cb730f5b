package dev.patientharbor.code;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Finds classes of several folders and jars by name, as a class path does: of two classes of one
 * name that of the first place. Holds numbers alone; the names stay where they are.
 *
 * <p>Cannot be changed. May be used by several threads.
 */
final class NameTable {

    private final List<ClassEntries> places;

    /** The number of the first class of each place, and that behind the last one. */
    private final int[] firsts;

    /** A class number plus 1, or 0, at the place of its hash or behind it. */
    private final int[] slots;

    private final BitSet hidden = new BitSet(0);

    NameTable(List<ClassEntries> places) {
        this.places = List.copyOf(places);
        firsts = new int[places.size() + 1];
        for (int i = 0; i < places.size(); i++) {
            firsts[i + 1] = firsts[i] + places.get(i).size();
        }
        // At most half full, so that looking up stays short.
        slots = new int[Integer.highestOneBit(Math.max(8, firsts[places.size()])) << 2];
        for (int place = 0; place < places.size(); place++) {
            add(place);
        }
    }

    private void add(int place) {
        ClassEntries entries = places.get(place);
        int size = entries.size();
        for (int i = 0; i < size; i++) {
            add(entries, i, firsts[place]);
        }
    }

    private void add(ClassEntries entries, int own, int first) {
        long hash = entries.hash(own);
        int slot = first(hash);
        while (slots[slot] != 0 && !isSame(slots[slot] - 1, hash, entries, own)) {
            slot = slot + 1 & slots.length - 1;
        }
        int number = first + own;
        int known = slots[slot] - 1;
        if (known >= 0 && known < first) {
            // An earlier place has it.
            hidden.set(number);
            return;
        }
        if (known >= 0) {
            hidden.set(known);
        }
        slots[slot] = number + 1;
    }

    private boolean isSame(int known, long hash, ClassEntries entries, int number) {
        int place = placeOf(known);
        ClassEntries others = places.get(place);
        int other = known - firsts[place];
        return others.hash(other) == hash && others.name(other).equals(entries.name(number));
    }

    private int first(long hash) {
        return (int) (hash ^ hash >>> 32) & slots.length - 1;
    }

    private int placeOf(int number) {
        if (places.size() == 1) {
            return 0;
        }
        int found = Arrays.binarySearch(firsts, number);
        if (found < 0) {
            return -found - 2;
        }
        // Of places without classes, which begin where the next one does, the last one.
        while (firsts[found + 1] == number) {
            found++;
        }
        return found;
    }

    /** Returns the class of a name, or null. */
    CodeEntry find(String binaryName) {
        long hash = NameHash.of(binaryName);
        for (int slot = first(hash); slots[slot] != 0; slot = slot + 1 & slots.length - 1) {
            int number = slots[slot] - 1;
            int place = placeOf(number);
            ClassEntries entries = places.get(place);
            int own = number - firsts[place];
            if (entries.hash(own) == hash) {
                CodeEntry entry = entries.entry(own);
                if (entry.name().equals(binaryName)) {
                    return entry;
                }
            }
        }
        return null;
    }

    /** Returns how many classes there are. */
    int size() {
        return firsts[places.size()] - hidden.cardinality();
    }

    /** Returns all classes, those of the first place first. */
    List<CodeEntry> entries() {
        return numbers().mapToObj(this::entry).toList();
    }

    private CodeEntry entry(int number) {
        int place = placeOf(number);
        return places.get(place).entry(number - firsts[place]);
    }

    /** Returns the names of all classes, those of the first place first. */
    List<String> names() {
        return numbers().mapToObj(this::name).toList();
    }

    private String name(int number) {
        int place = placeOf(number);
        return places.get(place).name(number - firsts[place]);
    }

    /** Returns the hashes of the simple names of all classes, those of the first place first. */
    long[] simpleHashes() {
        long[] all = new long[firsts[places.size()]];
        for (int place = 0; place < places.size(); place++) {
            long[] own = places.get(place).simpleHashes();
            System.arraycopy(own, 0, all, firsts[place], own.length);
        }
        return hidden.isEmpty() ? all : numbers().mapToLong(number -> all[number]).toArray();
    }

    private IntStream numbers() {
        IntStream all = IntStream.range(0, firsts[places.size()]);
        return hidden.isEmpty() ? all : all.filter(number -> !hidden.get(number));
    }
}
