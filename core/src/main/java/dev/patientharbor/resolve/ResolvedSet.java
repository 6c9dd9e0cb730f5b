package dev.patientharbor.resolve;

import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.model.ProfileSet;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.TypeRef;
import dev.patientharbor.model.TypeRef.ClassType;
import java.util.List;
import java.util.Optional;

/**
 * All profiles, decided.
 *
 * @param declared what was declared
 * @param code the code that was read
 * @param names class names as people write and read them
 * @param slots the numbers of the slots
 * @param profiles each profile with what it inherits, in the order of the file
 * @param extendsCycles profiles that extend each other in a circle, by number
 * @param entries the entry consumers
 * @param wirings one for each profile, in the order of the file; empty for a partial one
 */
public record ResolvedSet(
        ProfileSet declared,
        CodeIndex code,
        ClassNames names,
        SlotTable slots,
        List<ResolvedProfile> profiles,
        List<List<Integer>> extendsCycles,
        List<ResolvedEntry> entries,
        List<Optional<Wiring>> wirings) {
    public ResolvedSet {
        profiles = List.copyOf(profiles);
        extendsCycles = List.copyOf(extendsCycles);
        entries = List.copyOf(entries);
        wirings = List.copyOf(wirings);
    }

    /** The wirings of the profiles that are checked, in the order of the file. */
    public List<Wiring> checked() {
        return wirings.stream().flatMap(Optional::stream).toList();
    }

    /** Whether a type fits a contract. */
    public Fit fit(ClassType type, TypeRef contract) {
        return new Fitting(new Generics(code)).fit(type, contract);
    }

    /** A slot as people read it. */
    public String text(int slot) {
        return text(slots.slot(slot));
    }

    /** A slot as people read it. */
    public String text(Slot slot) {
        return slot.text(names::shortName);
    }
}
