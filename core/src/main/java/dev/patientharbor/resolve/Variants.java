package dev.patientharbor.resolve;

import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.model.Key;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.TypeRef;
import dev.patientharbor.resolve.SlotFinder.Found;
import dev.patientharbor.types.Carrier;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Finds the members of a collection: every variant of a contract that is bound at a visible level,
 * the nearest binding of each.
 */
final class Variants {

    private final SlotTable slots;
    private final Levels levels;
    private final SlotFinder finder;
    private final FilledIn filledIn;
    private final CodeIndex code;

    Variants(SlotTable slots, Levels levels, SlotFinder finder, FilledIn filledIn, CodeIndex code) {
        this.filledIn = filledIn;
        this.slots = slots;
        this.levels = levels;
        this.finder = finder;
        this.code = code;
    }

    /**
     * A variant.
     *
     * @param slot its number in the whole profile
     * @param binding what holds for it
     * @param rank its place: broadest level first, then as declared
     */
    private record Variant(int slot, ResolvedBinding binding, long[] rank) {}

    /** A collection that is asked for by a key has what is bound under that key alone. */
    private static boolean isOtherKey(Optional<Key> wanted, Optional<Key> key) {
        return wanted.isPresent() && !wanted.equals(key);
    }

    /**
     * The seats of the members, in order.
     *
     * @param wanted the key of the collection, if it has one
     */
    List<Integer> of(Carrier carrier, Optional<Key> wanted, int level, ResolvedProfile profile) {
        boolean map = carrier.kind() == Carrier.Kind.MAP;
        TypeRef contract = Carrier.innermost(carrier.content());
        List<Variant> all = new ArrayList<>();
        int any = slots.number(new Slot(contract, Optional.empty()));
        for (int slot : List.copyOf(slots.ofSameClass(any))) {
            boolean keyed = slots.slot(slot).key().isPresent();
            boolean leftOut =
                    levels.leftOut(level).filter(one -> one == slot).isPresent()
                            || isOtherKey(wanted, slots.slot(slot).key());
            if (!leftOut && slots.slot(slot).contract().equals(contract) && (keyed || !map)) {
                finder.find(slot, level, profile)
                        .filter(
                                found ->
                                        !(found.binding().declared().supply()
                                                instanceof Supply.None))
                        .ifPresent(found -> all.add(variant(slot, found, level, profile)));
            }
        }
        all.sort(Comparator.comparing(Variant::rank, java.util.Arrays::compare));
        Set<Integer> direct = new HashSet<>();
        for (Variant one : all) {
            if (one.binding().target().isEmpty()) {
                direct.add(one.slot());
            }
        }
        List<Integer> members = new ArrayList<>();
        for (Variant one : all) {
            boolean again =
                    !map
                            && one.binding()
                                    .target()
                                    .filter(aim -> isAmong(aim, direct, level, profile))
                                    .isPresent();
            if (!again && fitsKey(carrier, one.slot())) {
                members.add(member(carrier, one.slot(), level, profile));
            }
        }
        addFilledIn(carrier, contract, wanted, direct, level, profile, members);
        return members;
    }

    /** Classes that say so themselves come after what is listed, by name. */
    private void addFilledIn(
            Carrier carrier,
            TypeRef contract,
            Optional<Key> wanted,
            Set<Integer> listed,
            int level,
            ResolvedProfile profile,
            List<Integer> members) {
        boolean map = carrier.kind() == Carrier.Kind.MAP;
        for (FilledIn.Candidate one : filledIn.members(new Slot(contract, Optional.empty()))) {
            if (isOtherKey(wanted, one.key())) {
                continue;
            }
            Slot slot = new Slot(contract, one.key());
            int number = slots.number(slot);
            boolean isListed = finder.find(number, level, profile).isPresent();
            if (!isListed && one.key().isPresent() && fitsKey(carrier, number)) {
                members.add(member(carrier, number, level, profile));
            } else if (one.key().isEmpty() && !map) {
                int own = slots.number(Slot.of(one.facts().name()));
                boolean leftOut = levels.leftOut(level).filter(it -> it == own).isPresent();
                if (!leftOut && (!listed.contains(number) || !isListed)) {
                    members.add(own);
                }
            }
        }
    }

    /** The same instance once: what stands in for a member is none. */
    private boolean isAmong(int aim, Set<Integer> direct, int level, ResolvedProfile profile) {
        int at = aim;
        for (int steps = 0; steps < slots.size(); steps++) {
            if (direct.contains(at)) {
                return true;
            }
            Optional<Integer> next =
                    finder.find(at, level, profile).flatMap(found -> found.binding().target());
            if (next.isEmpty()) {
                return false;
            }
            at = next.get();
        }
        return false;
    }

    /** A member, wrapped as the collection wraps its members. */
    private int member(Carrier carrier, int slot, int level, ResolvedProfile profile) {
        Slot variant = slots.slot(slot);
        return finder.ask(slots.number(new Slot(carrier.content(), variant.key())), level, profile);
    }

    /** A map by an enum has the keys that are constants of it. */
    private boolean fitsKey(Carrier carrier, int slot) {
        if (carrier.key().isEmpty()) {
            return true;
        }
        String type = SlotTable.className(carrier.key().get());
        return code.find(type)
                .filter(facts -> facts.isEnum())
                .map(
                        facts ->
                                slots.slot(slot)
                                        .key()
                                        .filter(key -> facts.enumConstants().contains(key.text()))
                                        .isPresent())
                .orElse(true);
    }

    private Variant variant(int slot, Found found, int level, ResolvedProfile profile) {
        int[] search = levels.search(level);
        for (int i = search.length - 1; i >= 0; i--) {
            int said = slots.at(slot, levels.words(search[i]));
            if (profile.binding(said).isPresent()) {
                long[] rank = {search.length - i, profile.placeOf(said)};
                return new Variant(slot, found.binding(), rank);
            }
        }
        throw new IllegalStateException("found before, and not now: " + slots.slot(slot).text());
    }
}
