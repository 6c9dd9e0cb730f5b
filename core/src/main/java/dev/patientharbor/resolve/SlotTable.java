package dev.patientharbor.resolve;

import dev.patientharbor.model.Slot;
import dev.patientharbor.model.TypeRef;
import dev.patientharbor.model.TypeRef.ClassType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Gives each slot a number, so that the rest of resolving is done in arrays. */
public final class SlotTable {

    private final Map<Slot, Integer> numbers = new HashMap<>();
    private final List<Slot> slots = new ArrayList<>();
    private final Map<String, List<Integer>> byContractClass = new HashMap<>();
    private final List<List<Integer>> ofSameClass = new ArrayList<>();

    /** The number of a slot, a new one if it is new. */
    int number(Slot slot) {
        Integer known = numbers.get(slot);
        if (known != null) {
            return known;
        }
        int number = slots.size();
        numbers.put(slot, number);
        slots.add(slot);
        List<Integer> same =
                byContractClass.computeIfAbsent(
                        className(slot.contract()), name -> new ArrayList<>(1));
        same.add(number);
        ofSameClass.add(same);
        return number;
    }

    public Slot slot(int number) {
        return slots.get(number);
    }

    int size() {
        return slots.size();
    }

    /**
     * The slots whose contract is the same class, with whatever arguments and key, in order of
     * number.
     */
    public List<Integer> ofSameClass(int number) {
        return ofSameClass.get(number);
    }

    /** The class behind a contract; for what is no class, its text. */
    public static String className(TypeRef contract) {
        return contract instanceof ClassType type ? type.name() : contract.text();
    }
}
