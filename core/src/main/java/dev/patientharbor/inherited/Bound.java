package dev.patientharbor.inherited;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.SupplyEffect;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/** The bindings that hold in one profile, its own and inherited, by slot and level. */
final class Bound {

    private final int profile;
    private final Hierarchy hierarchy;
    private final List<List<ResolvedBinding>> boundTwice = new ArrayList<>();
    private final List<ResolvedBinding> changesNothing = new ArrayList<>();
    private final List<ResolvedProfile.Repeats> repeats = new ArrayList<>();
    private final List<ResolvedBinding> changed = new ArrayList<>();
    private final Map<ResolvedBinding, ResolvedBinding> basis = new IdentityHashMap<>();

    /** What a change said that was put upon an inherited binding, by what came of it. */
    private final Map<ResolvedBinding, Binding> changes = new IdentityHashMap<>();

    private final SaidBySlot<ResolvedBinding> bindings;

    /**
     * @param again resolves a binding that was put together from an inherited one and a change of
     *     it
     */
    Bound(
            int profile,
            Hierarchy hierarchy,
            List<Bound> parents,
            List<ResolvedBinding> own,
            BiFunction<ResolvedBinding, Binding, ResolvedBinding> again) {
        this.profile = profile;
        this.hierarchy = hierarchy;
        bindings = SaidBySlot.of(parents.stream().map(one -> one.bindings).toList(), this::joined);
        for (ResolvedBinding binding : own) {
            changed.add(binding.declared().needsInherited() ? put(binding, again) : binding);
        }
        bindOwn(changed);
    }

    /** What the profile says itself, changes put upon what they change. */
    List<ResolvedBinding> own() {
        return changed;
    }

    /** Own bindings that change a part of an inherited one, each with that one. */
    Map<ResolvedBinding, ResolvedBinding> basis() {
        return basis;
    }

    private ResolvedBinding put(
            ResolvedBinding change, BiFunction<ResolvedBinding, Binding, ResolvedBinding> again) {
        Optional<ResolvedBinding> inherited = change.slot().flatMap(this::find);
        if (inherited.isPresent()) {
            ResolvedBinding whole =
                    again.apply(change, change.declared().over(inherited.get().declared()));
            basis.put(whole, inherited.get());
            changes.put(whole, change.declared());
            return whole;
        }
        if (change.slot().isPresent()
                && change.declared().supply().effect() == SupplyEffect.KEEPS) {
            changesNothing.add(change);
        }
        return change;
    }

    /** The binding that holds for a slot at its level. */
    Optional<ResolvedBinding> find(int slot) {
        Said<ResolvedBinding> said = said(slot);
        return said == null ? Optional.empty() : said.what().binds();
    }

    /** The inherited bindings of a slot that no longer hold here, nearest first. */
    List<ResolvedBinding> hidden(int slot) {
        List<ResolvedBinding> hidden = new ArrayList<>(0);
        Said<ResolvedBinding> said = said(slot);
        while (said != null && said.over().isPresent()) {
            said = said.over().get();
            hidden.add(said.what());
        }
        return hidden;
    }

    /**
     * The binding that first filled a slot since it was last removed: it keeps that one's place.
     */
    ResolvedBinding first(int slot) {
        Said<ResolvedBinding> said = said(slot);
        while (said.over().filter(over -> !isRemoved(over)).isPresent()) {
            said = said.over().get();
        }
        return said.what();
    }

    /** Everything that holds, in order of slot. */
    List<ResolvedBinding> all() {
        List<ResolvedBinding> all = new ArrayList<>();
        bindings.eachSlot(slot -> find(slot).ifPresent(all::add));
        return all;
    }

    List<List<ResolvedBinding>> boundTwice() {
        return boundTwice;
    }

    /** Own words that remove or change what is not there. */
    List<ResolvedBinding> changesNothing() {
        return changesNothing;
    }

    /** Own words that say what is inherited anyway. */
    List<ResolvedProfile.Repeats> repeats() {
        return repeats;
    }

    List<ResolvedProfile.Clash> clashes() {
        List<ResolvedProfile.Clash> clashes = new ArrayList<>();
        bindings.eachSlot(
                slot ->
                        ResolvedProfile.Clash.in(said(slot), slot, Bound::place)
                                .ifPresent(clashes::add));
        return clashes;
    }

    boolean saysTheSameAs(Bound other, int slot) {
        return said(slot) == other.said(slot);
    }

    private Said<ResolvedBinding> said(int slot) {
        return bindings.get(slot);
    }

    private static Where place(Said<ResolvedBinding> word) {
        return word.what().declared().at();
    }

    private static boolean isRemoved(Said<ResolvedBinding> said) {
        return said.what().binds().isEmpty();
    }

    private Said<ResolvedBinding> joined(List<Said<ResolvedBinding>> words) {
        return Said.join(
                profile,
                words,
                hierarchy,
                (a, b) -> a == b || a.declared().saysTheSameAs(b.declared()));
    }

    private void bindOwn(List<ResolvedBinding> own) {
        Map<Integer, List<ResolvedBinding>> bySlot = new LinkedHashMap<>();
        for (ResolvedBinding binding : own) {
            binding.slot()
                    .ifPresent(
                            slot ->
                                    bySlot.computeIfAbsent(slot, one -> new ArrayList<>(1))
                                            .add(binding));
        }
        bySlot.forEach(
                (slot, all) -> {
                    if (all.get(0).declared().supply().effect() == SupplyEffect.REMOVES
                            && find(slot).isEmpty()) {
                        changesNothing.add(all.get(0));
                    }
                    if (all.size() > 1) {
                        boundTwice.add(all);
                    } else if (said(slot) != null && repeats(said(slot), all.get(0))) {
                        repeats.add(
                                new ResolvedProfile.Repeats(
                                        slot,
                                        all.get(0).declared().at(),
                                        said(slot).what().declared().at(),
                                        all.get(0).binds()));
                    }
                    bindings.put(slot, over(said(slot), all.get(0)));
                });
    }

    /** An own word upon an inherited one: a part of it settles only a dispute about that part. */
    private Said<ResolvedBinding> over(Said<ResolvedBinding> inherited, ResolvedBinding own) {
        Said<ResolvedBinding> said = Said.by(profile, own, Optional.ofNullable(inherited));
        Binding change = changes.get(own);
        if (change == null || inherited.disagreement().isEmpty()) {
            return said;
        }
        List<Binding> each =
                inherited.disagreement().get().words().stream()
                        .map(word -> change.over(word.what().declared()))
                        .toList();
        return each.stream().allMatch(each.get(0)::saysTheSameAs)
                ? said
                : new Said<>(own, profile, inherited.disagreement(), said.over());
    }

    /**
     * Whether an own word is the inherited one again, with the same grounds, and settles nothing.
     */
    private static boolean repeats(Said<ResolvedBinding> inherited, ResolvedBinding own) {
        Binding before = inherited.what().declared();
        return inherited.disagreement().isEmpty()
                && own.binds().isPresent()
                && own.declared().saysTheSameAs(before)
                && own.declared().grounds().equals(before.grounds());
    }
}
