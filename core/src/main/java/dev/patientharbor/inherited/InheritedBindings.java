package dev.patientharbor.inherited;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.SourcePosition;
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
final class InheritedBindings {

    private final int profile;
    private final ProfileHierarchy hierarchy;
    private final List<List<ResolvedBinding>> boundTwice = new ArrayList<>();
    private final List<ResolvedBinding> needlessChanges = new ArrayList<>();
    private final List<ResolvedProfile.RepeatedStatement> repeatedStatements = new ArrayList<>();
    private final List<ResolvedBinding> changed = new ArrayList<>();
    private final Map<ResolvedBinding, ResolvedBinding> changedBindings = new IdentityHashMap<>();

    /** What a change said that was put upon an inherited binding, by what came of it. */
    private final Map<ResolvedBinding, Binding> changes = new IdentityHashMap<>();

    private final InheritedStatements<ResolvedBinding> bindings;

    /**
     * @param again resolves a binding that was put together from an inherited one and a change of
     *     it
     */
    InheritedBindings(
            int profile,
            ProfileHierarchy hierarchy,
            List<InheritedBindings> parents,
            List<ResolvedBinding> own,
            BiFunction<ResolvedBinding, Binding, ResolvedBinding> again) {
        this.profile = profile;
        this.hierarchy = hierarchy;
        bindings =
                InheritedStatements.of(
                        parents.stream().map(bindings -> bindings.bindings).toList(), this::joined);
        for (ResolvedBinding binding : own) {
            changed.add(binding.declared().needsInherited() ? put(binding, again) : binding);
        }
        bindOwn(changed);
    }

    /** What the profile says itself, changes put upon what they change. */
    List<ResolvedBinding> ownBindings() {
        return changed;
    }

    /** Own bindings that change a part of an inherited one, each with that one. */
    Map<ResolvedBinding, ResolvedBinding> changedBindings() {
        return changedBindings;
    }

    private ResolvedBinding put(
            ResolvedBinding change, BiFunction<ResolvedBinding, Binding, ResolvedBinding> again) {
        Optional<ResolvedBinding> inherited = change.slot().flatMap(this::find);
        if (inherited.isPresent()) {
            ResolvedBinding whole =
                    again.apply(change, change.declared().laidOver(inherited.get().declared()));
            changedBindings.put(whole, inherited.get());
            changes.put(whole, change.declared());
            return whole;
        }
        if (change.slot().isPresent()
                && change.declared().supply().effect() == SupplyEffect.KEEPS) {
            needlessChanges.add(change);
        }
        return change;
    }

    /** The binding that holds for a slot at its level. */
    Optional<ResolvedBinding> find(int slot) {
        InheritedStatement<ResolvedBinding> statement = statement(slot);
        return statement == null ? Optional.empty() : statement.what().binds();
    }

    /** The inherited bindings of a slot that no longer hold here, nearest first. */
    List<ResolvedBinding> hidden(int slot) {
        InheritedStatement<ResolvedBinding> statement = statement(slot);
        return statement == null || statement.over().isEmpty()
                ? List.of()
                : said(statement.over().get());
    }

    /** All that is said of a slot, nearest first: the first one counts. */
    List<ResolvedBinding> statements(int slot) {
        InheritedStatement<ResolvedBinding> statement = statement(slot);
        return statement == null ? List.of() : said(statement);
    }

    private static List<ResolvedBinding> said(InheritedStatement<ResolvedBinding> nearest) {
        List<ResolvedBinding> all = new ArrayList<>(1);
        for (InheritedStatement<ResolvedBinding> word = nearest;
                word != null;
                word = word.over().orElse(null)) {
            all.add(word.what());
        }
        return all;
    }

    /**
     * The binding that first filled a slot since it was last removed: it keeps that one's place.
     */
    ResolvedBinding first(int slot) {
        InheritedStatement<ResolvedBinding> statement = statement(slot);
        while (statement.over().filter(over -> !isRemoved(over)).isPresent()) {
            statement = statement.over().get();
        }
        return statement.what();
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

    /** Returns own statements that remove or change what is not there. */
    List<ResolvedBinding> needlessChanges() {
        return needlessChanges;
    }

    /** Returns own statements that repeat what is inherited anyway. */
    List<ResolvedProfile.RepeatedStatement> repeatedStatements() {
        return repeatedStatements;
    }

    List<ResolvedProfile.Clash> clashes() {
        if (bindings.inOneLine()) {
            return List.of();
        }
        List<ResolvedProfile.Clash> clashes = new ArrayList<>();
        bindings.eachSlot(
                slot ->
                        ResolvedProfile.Clash.in(statement(slot), slot, InheritedBindings::place)
                                .ifPresent(clashes::add));
        return clashes;
    }

    boolean saysTheSameAs(InheritedBindings other, int slot) {
        return statement(slot) == other.statement(slot);
    }

    private InheritedStatement<ResolvedBinding> statement(int slot) {
        return bindings.get(slot);
    }

    private static SourcePosition place(InheritedStatement<ResolvedBinding> word) {
        return word.what().declared().at();
    }

    private static boolean isRemoved(InheritedStatement<ResolvedBinding> statement) {
        return statement.what().binds().isEmpty();
    }

    private InheritedStatement<ResolvedBinding> joined(
            List<InheritedStatement<ResolvedBinding>> words) {
        return InheritedStatement.join(
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
                                    bySlot.computeIfAbsent(slot, key -> new ArrayList<>(1))
                                            .add(binding));
        }
        bySlot.forEach(
                (slot, all) -> {
                    if (all.get(0).declared().supply().effect() == SupplyEffect.REMOVES
                            && find(slot).isEmpty()) {
                        needlessChanges.add(all.get(0));
                    }
                    if (all.size() > 1) {
                        boundTwice.add(all);
                    } else if (statement(slot) != null
                            && repeatedStatements(statement(slot), all.get(0))) {
                        repeatedStatements.add(
                                new ResolvedProfile.RepeatedStatement(
                                        slot,
                                        all.get(0).declared().at(),
                                        statement(slot).what().declared().at(),
                                        all.get(0).binds()));
                    }
                    bindings.put(slot, overInherited(statement(slot), all.get(0)));
                });
    }

    /**
     * Lays an own binding over an inherited one; a part of a binding settles only a dispute about
     * that part.
     */
    private InheritedStatement<ResolvedBinding> overInherited(
            InheritedStatement<ResolvedBinding> inherited, ResolvedBinding own) {
        InheritedStatement<ResolvedBinding> statement =
                InheritedStatement.by(profile, own, Optional.ofNullable(inherited));
        Binding change = changes.get(own);
        if (change == null || inherited.disagreement().isEmpty()) {
            return statement;
        }
        List<Binding> each =
                inherited.disagreement().get().words().stream()
                        .map(word -> change.laidOver(word.what().declared()))
                        .toList();
        return each.stream().allMatch(each.get(0)::saysTheSameAs)
                ? statement
                : new InheritedStatement<>(
                        own, profile, inherited.disagreement(), statement.over());
    }

    /**
     * Returns whether an own binding is the inherited one again, with the same grounds, and settles
     * nothing.
     */
    private static boolean repeatedStatements(
            InheritedStatement<ResolvedBinding> inherited, ResolvedBinding own) {
        Binding before = inherited.what().declared();
        return inherited.disagreement().isEmpty()
                && own.binds().isPresent()
                && own.declared().saysTheSameAs(before)
                && own.declared().grounds().equals(before.grounds());
    }
}
