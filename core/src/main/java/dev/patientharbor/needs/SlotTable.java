package dev.patientharbor.needs;

import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.texts.ShortName;
import dev.patientharbor.types.Carrier;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Gives each slot a number, so that the rest of resolving is done in arrays; and a number of its
 * own to a slot at a level other than the whole profile.
 */
public final class SlotTable {

    private final Map<Slot, Integer> numbers = new HashMap<>();
    private final Map<Long, Integer> atLevels = new HashMap<>();
    private final List<Slot> slots = new ArrayList<>();
    private final BitSet many = new BitSet();
    private final BitSet wrapping = new BitSet();
    private final BitSet sharingClass = new BitSet();
    private int[] wholeSlot = new int[64];
    private BindingLevel[] level = new BindingLevel[64];
    private final Map<String, List<Integer>> byContractClass = new HashMap<>();
    private final List<List<Integer>> ofSameClass = new ArrayList<>();
    private final Map<Slot, List<Integer>> byClassAndKey = new HashMap<>();
    private final List<List<Integer>> ofSameClassAndKey = new ArrayList<>();

    private final BindingLevel whole;

    /**
     * Numbers slots.
     *
     * @param whole the whole profile, at which a slot has its first number
     */
    public SlotTable(BindingLevel whole) {
        this.whole = whole;
    }

    /** The whole profile, at which a slot has its first number. */
    public BindingLevel whole() {
        return whole;
    }

    /** The number of a slot in the whole profile, a new one if it is new. */
    public int number(Slot slot) {
        Integer known = numbers.get(slot);
        if (known != null) {
            return known;
        }
        int number = add(slot, slots.size(), whole);
        numbers.put(slot, number);
        many.set(number, Carrier.holdsMany(slot.contract()));
        wrapping.set(number, Carrier.of(slot.contract()).isPresent());
        List<Integer> same =
                byContractClass.computeIfAbsent(
                        className(slot.contract()), name -> new ArrayList<>(1));
        same.add(number);
        if (same.size() > 1) {
            sharingClass.set(same.get(0));
            sharingClass.set(number);
        }
        ofSameClass.add(same);
        Slot raw = new Slot(TypeRef.of(className(slot.contract())), slot.key());
        List<Integer> alike = byClassAndKey.computeIfAbsent(raw, named -> new ArrayList<>(1));
        alike.add(number);
        ofSameClassAndKey.add(alike);
        return number;
    }

    /** The number of the same slot at a level. */
    public int at(int number, BindingLevel wanted) {
        int atWhole = wholeSlot[number];
        if (wanted.isWhole() || wanted == level[number]) {
            return wanted.isWhole() ? atWhole : number;
        }
        Long key = (long) atWhole << Integer.SIZE | wanted.number();
        Integer known = atLevels.get(key);
        if (known != null) {
            return known;
        }
        int added = add(slots.get(atWhole), atWhole, wanted);
        ofSameClass.add(ofSameClass.get(atWhole));
        ofSameClassAndKey.add(ofSameClassAndKey.get(atWhole));
        atLevels.put(key, added);
        return added;
    }

    private int add(Slot slot, int atWhole, BindingLevel at) {
        int number = slots.size();
        if (number == wholeSlot.length) {
            wholeSlot = Arrays.copyOf(wholeSlot, 2 * number);
            level = Arrays.copyOf(level, 2 * number);
        }
        wholeSlot[number] = atWhole;
        level[number] = at;
        slots.add(slot);
        return number;
    }

    /** Whether what stands in a slot holds several others. */
    public boolean holdsMany(int number) {
        return many.get(wholeSlot[number]);
    }

    /** Whether what fills a slot that nothing binds depends on no other slot. */
    public boolean standsAlone(int number) {
        int whole = wholeSlot[number];
        return !wrapping.get(whole) && !sharingClass.get(whole);
    }

    /**
     * Returns whether whoever asks for one slot asks for another one, in whatever it is wrapped.
     */
    public boolean isFor(int asked, int other) {
        if (wholeSlot[asked] == wholeSlot[other]) {
            return true;
        }
        Slot wrapped = slots.get(asked);
        return wrapping.get(wholeSlot[asked])
                && new Slot(Carrier.innermost(wrapped.contract()), wrapped.key())
                        .equals(slots.get(other));
    }

    /** The slot, whatever the level. */
    public Slot slot(int number) {
        return slots.get(number);
    }

    /** The number of the same slot in the whole profile. */
    public int wholeSlot(int number) {
        return wholeSlot[number];
    }

    /** The level that a number stands for. */
    public BindingLevel level(int number) {
        return level[number];
    }

    public int size() {
        return slots.size();
    }

    /**
     * The slots whose contract is the same class, with whatever arguments and key, in the whole
     * profile, in order of number.
     */
    public List<Integer> ofSameClass(int number) {
        return ofSameClass.get(number);
    }

    /** The slots of the same class and key, with whatever type arguments, in the same way. */
    public List<Integer> ofSameClassAndKey(int number) {
        return ofSameClassAndKey.get(number);
    }

    /** The classes of contracts that have a short name, by name. */
    public List<String> contractsCalled(String shortName) {
        return byContractClass.keySet().stream()
                .filter(name -> ShortName.of(name).equals(shortName))
                .sorted()
                .toList();
    }

    /** The class behind a contract; for what is no class, its text. */
    public static String className(TypeRef contract) {
        return contract instanceof ClassType type ? type.name() : contract.text();
    }
}
