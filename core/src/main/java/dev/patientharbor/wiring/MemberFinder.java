package dev.patientharbor.wiring;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.SupplyEffect;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.types.Carrier;
import dev.patientharbor.types.ValueTypes;
import dev.patientharbor.wiring.SlotFinder.FoundBinding;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Finds the members of a collection: every variant of a contract that is bound at a visible level,
 * the nearest binding of each; then classes that say so themselves.
 */
final class MemberFinder {

    private final SlotTable slots;
    private final SlotFinder finder;
    private final FillInFinder fillIn;
    private final ValueTypes values;

    MemberFinder(SlotTable slots, SlotFinder finder, FillInFinder fillIn, ValueTypes values) {
        this.fillIn = fillIn;
        this.slots = slots;
        this.finder = finder;
        this.values = values;
    }

    /**
     * A variant of a contract, with the seat where it stands.
     *
     * @param slot its number in the whole profile
     * @param binding what holds for it
     * @param rank its place: broadest level first, then as declared
     */
    private record Variant(int slot, ResolvedBinding binding, long[] rank) {}

    /**
     * One collection, as it is asked for.
     *
     * @param content the type of its members, in whatever they are wrapped
     * @param contract the contract of its members
     * @param key the enum or the text by which it maps; empty for what is no map
     * @param wanted the key by which the collection itself is asked for, if it is
     * @param level where the asker looks
     */
    private record CollectionRequest(
            TypeRef content,
            TypeRef contract,
            Optional<TypeRef> key,
            Optional<Key> wanted,
            BindingLevel level,
            ResolvedProfile profile) {

        boolean isMap() {
            return key.isPresent();
        }

        /**
         * Returns whether a collection takes a variant: one that is asked for by a key has what is
         * bound under that key alone.
         */
        boolean takes(Optional<Key> itsKey) {
            return (wanted.isEmpty() || wanted.equals(itsKey)) && (itsKey.isPresent() || !isMap());
        }
    }

    /**
     * The seats of the members, in order.
     *
     * @param wanted the key of the collection, if it has one
     */
    List<Integer> of(
            Carrier carrier, Optional<Key> wanted, BindingLevel level, ResolvedProfile profile) {
        TypeRef contract = Carrier.innermost(carrier.content());
        CollectionRequest asked =
                new CollectionRequest(
                        carrier.content(), contract, carrier.key(), wanted, level, profile);
        List<Variant> all = listed(asked);
        Set<Integer> direct = new HashSet<>();
        for (Variant variant : all) {
            if (variant.binding().target().isEmpty()) {
                direct.add(variant.slot());
            }
        }
        Set<Integer> members = new LinkedHashSet<>();
        for (Variant variant : all) {
            boolean again =
                    !asked.isMap()
                            && variant.binding()
                                    .target()
                                    .filter(aim -> isAmong(aim, direct, asked))
                                    .isPresent();
            if (!again) {
                members.add(member(asked, variant.slot()));
            }
        }
        addFilledIn(asked, members);
        return List.copyOf(members);
    }

    /** What is bound and seen, but for what stands for nothing and what the asker itself is. */
    private List<Variant> listed(CollectionRequest asked) {
        List<Variant> all = new ArrayList<>();
        int any = slots.number(new Slot(asked.contract(), Optional.empty()));
        for (int slot : List.copyOf(slots.ofSameClass(any))) {
            if (asked.takes(slots.slot(slot).key())
                    && finder.isVariant(slot, asked.contract())
                    && fitsKey(asked, slot)
                    && !isLeftOut(asked, slot)) {
                finder.find(slot, asked.level(), asked.profile())
                        .filter(
                                found ->
                                        found.binding().declared().supply().effect()
                                                != SupplyEffect.LEAVES_EMPTY)
                        .ifPresent(found -> all.add(variant(slot, found, asked)));
            }
        }
        all.sort(Comparator.comparing(Variant::rank, Arrays::compare));
        return all;
    }

    /** Adds, after what is listed, classes that say so themselves, by name. */
    private void addFilledIn(CollectionRequest asked, Set<Integer> members) {
        if (!asked.level().reachesWhole()) {
            return;
        }
        Map<Integer, Set<FillInFinder.Candidate>> bySlot = new HashMap<>();
        for (FillInFinder.Candidate candidate : fillIn.members(asked.contract())) {
            int slot = slots.number(candidate.fills());
            boolean isListed = finder.find(slot, asked.level(), asked.profile()).isPresent();
            if (!isListed
                    && asked.takes(candidate.fills().key())
                    && fitsKey(asked, slot)
                    && !isLeftOut(asked, slot)
                    && !candidate.isAmong(decorators(asked, slot))) {
                bySlot.computeIfAbsent(
                                slot, it -> Collections.newSetFromMap(new IdentityHashMap<>()))
                        .add(candidate);
            }
        }
        for (FillInFinder.Candidate candidate : fillIn.members(asked.contract())) {
            int slot = slots.number(candidate.fills());
            Set<FillInFinder.Candidate> all = bySlot.get(slot);
            int own = slots.number(candidate.ownSlot());
            boolean isAsker = asked.level().leftOutSlot().filter(it -> it == own).isPresent();
            if (all != null && all.contains(candidate) && !isAsker) {
                members.add(filledIn(asked, slot, own, all.size() > 1));
            }
        }
    }

    private List<ResolvedDecorator> decorators(CollectionRequest asked, int slot) {
        BindingLevel level = finder.layeredAt(slot, asked.level(), asked.profile());
        return asked.profile().decorators(slots.at(slot, level));
    }

    /** One fills its slot; several that have no key are members each, in the layers of the slot. */
    private int filledIn(CollectionRequest asked, int slot, int own, boolean isOneOfSeveral) {
        if (!isOneOfSeveral || slots.slot(slot).key().isPresent()) {
            return member(asked, slot);
        }
        BindingLevel level = finder.layeredAt(slot, asked.level(), asked.profile());
        return slots.at(content(asked, slot), level.variant(own));
    }

    /** Whether a slot is the asker's own, or stands in for it. */
    private boolean isLeftOut(CollectionRequest asked, int slot) {
        Optional<Integer> leftOut = asked.level().leftOutSlot();
        return leftOut.isPresent() && isAmong(slot, Set.of(leftOut.get()), asked);
    }

    /** Whether a slot is one of some, or is the same as one of them. */
    private boolean isAmong(int aim, Set<Integer> some, CollectionRequest asked) {
        int at = aim;
        for (int steps = 0; steps < slots.size(); steps++) {
            if (some.contains(at)) {
                return true;
            }
            Optional<Integer> next =
                    finder.find(at, asked.level(), asked.profile())
                            .flatMap(found -> found.binding().target());
            if (next.isEmpty()) {
                return false;
            }
            at = next.get();
        }
        return false;
    }

    /** A member, wrapped as the collection wraps its members. */
    private int member(CollectionRequest asked, int slot) {
        return finder.ask(content(asked, slot), asked.level(), asked.profile());
    }

    private int content(CollectionRequest asked, int slot) {
        Slot variant = slots.slot(slot);
        TypeRef content = Carrier.around(asked.content(), variant.contract());
        return slots.number(new Slot(content, variant.key()));
    }

    /** Returns whether a key fits: a map by an enum has the keys that are constants of it. */
    private boolean fitsKey(CollectionRequest asked, int slot) {
        return asked.key()
                .flatMap(values::constants)
                .map(
                        constants ->
                                slots.slot(slot)
                                        .key()
                                        .filter(key -> constants.contains(key.text()))
                                        .isPresent())
                .orElse(true);
    }

    private Variant variant(int slot, FoundBinding found, CollectionRequest asked) {
        List<BindingLevel> search = asked.level().search();
        for (int i = search.size() - 1; i >= 0; i--) {
            int said = slots.at(slot, search.get(i).statedAt());
            if (asked.profile().binding(said).isPresent()) {
                long[] rank = {search.size() - i, asked.profile().placeOf(said)};
                return new Variant(slot, found.binding(), rank);
            }
        }
        throw new IllegalStateException("found before, and not now: " + slots.slot(slot).text());
    }
}
