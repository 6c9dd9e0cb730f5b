package dev.patientharbor.inherited;

import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.declared.ResolvedDecoratorStatement;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The decorators that hold in one profile, its own and inherited, by slot and level.
 *
 * <p>At a level other than the whole profile, what is said changes the list of the level around it.
 * What is said of every key of a contract is outside of what is said of one.
 */
final class InheritedDecorators {

    private final SlotTable slots;
    private final List<ResolvedProfile.NeedlessDrop> needlessDrops = new ArrayList<>();

    private final List<ResolvedProfile.RepeatedStatement> repeatedStatements = new ArrayList<>();

    /** What was said of a slot at its level, in order, parents before children. */
    private final Map<Integer, InheritedStatement<List<ResolvedDecoratorStatement>>> changes =
            new LinkedHashMap<>();

    /** The slot of every key of a contract, where something is said of it. */
    private final Map<TypeRef, Integer> everyKey = new HashMap<>();

    private final Map<Integer, List<ResolvedDecorator>> lists = new HashMap<>();

    InheritedDecorators(
            int profile,
            ProfileHierarchy hierarchy,
            List<InheritedDecorators> parents,
            List<ResolvedDecoratorStatement> own,
            SlotTable slots) {
        this.slots = slots;
        for (InheritedDecorators parent : parents) {
            everyKey.putAll(parent.everyKey);
            for (int slot : parent.changes.keySet()) {
                changes.computeIfAbsent(slot, key -> join(profile, hierarchy, parents, key));
            }
        }
        for (ResolvedDecoratorStatement statement : own) {
            statement.slot().ifPresent(slot -> decorate(profile, slot, statement));
        }
    }

    boolean isEmpty() {
        return changes.isEmpty();
    }

    /** Whether something is said of a slot, or of every key of its contract, at its very level. */
    boolean statesAt(int slot) {
        if (changes.containsKey(slot)) {
            return true;
        }
        Integer every = every(slot);
        return every != null && changes.containsKey(slots.at(every, slots.level(slot)));
    }

    /** The slots, at their levels, of which something is said, in the order in which it was. */
    Iterable<Integer> slots() {
        return changes.keySet();
    }

    List<ResolvedProfile.NeedlessDrop> needlessDrops() {
        return needlessDrops;
    }

    /** Own lists that say what is inherited anyway. */
    List<ResolvedProfile.RepeatedStatement> repeatedStatements() {
        return repeatedStatements;
    }

    /** The decorators of a slot at its level, outermost first. */
    List<ResolvedDecorator> list(int slot) {
        if (changes.isEmpty()) {
            return List.of();
        }
        List<ResolvedDecorator> known = lists.get(slot);
        if (known == null) {
            known = makeList(slot);
            lists.put(slot, known);
        }
        return known;
    }

    private List<ResolvedDecorator> makeList(int slot) {
        List<ResolvedDecorator> own = ownList(slot);
        Integer every = every(slot);
        if (every == null || every == slots.wholeSlot(slot)) {
            return own;
        }
        List<ResolvedDecorator> all = new ArrayList<>();
        for (ResolvedDecorator decorator : ownList(slots.at(every, slots.level(slot)))) {
            if (!isExempt(slot, decorator)) {
                all.add(decorator);
            }
        }
        all.addAll(own);
        return all;
    }

    private List<ResolvedDecorator> ownList(int slot) {
        BindingLevel level = slots.level(slot);
        List<ResolvedDecorator> list =
                level.isWhole() ? List.of() : ownList(slots.at(slot, level.parent()));
        // What is said for a consumer holds in whatever area it stands.
        InheritedStatement<List<ResolvedDecoratorStatement>> statement =
                changes.get(slots.at(slot, level.statedAt()));
        if (statement != null) {
            for (ResolvedDecoratorStatement change : statement.what()) {
                list = change.applyTo(list);
            }
        }
        return list;
    }

    /** Whether a slot drops one of the decorators that every key of its contract has. */
    private boolean isExempt(int slot, ResolvedDecorator decorator) {
        BindingLevel level = slots.level(slot);
        while (true) {
            InheritedStatement<List<ResolvedDecoratorStatement>> statement =
                    changes.get(slots.at(slot, level.statedAt()));
            if (statement != null
                    && statement.what().stream()
                            .flatMap(change -> change.drop().stream())
                            .anyMatch(decorator::isNamedAs)) {
                return true;
            }
            if (level.isWhole()) {
                return false;
            }
            level = level.parent();
        }
    }

    private Integer every(int slot) {
        return everyKey.isEmpty() ? null : everyKey.get(slots.slot(slot).contract());
    }

    private void decorate(int profile, int slot, ResolvedDecoratorStatement statement) {
        Slot decorated = slots.slot(slot);
        if (decorated.key().filter(Key::isEvery).isPresent()) {
            everyKey.put(decorated.contract(), slots.wholeSlot(slot));
        }
        List<ResolvedDecorator> inherited = new ArrayList<>(ownList(slot));
        Integer every = every(slot);
        if (every != null) {
            inherited.addAll(ownList(slots.at(every, slots.level(slot))));
        }
        statement
                .dropsNothing(inherited)
                .forEach(
                        decorator ->
                                needlessDrops.add(
                                        new ResolvedProfile.NeedlessDrop(statement, decorator)));
        InheritedStatement<List<ResolvedDecoratorStatement>> before = changes.get(slot);
        List<ResolvedDecoratorStatement> all = new ArrayList<>();
        if (before != null) {
            all.addAll(before.what());
            if (before.disagreement().isEmpty() && isAgain(statement, ownList(slot))) {
                repeatedStatements.add(
                        new ResolvedProfile.RepeatedStatement(
                                slot,
                                statement.declared().at(),
                                lastPlace(before),
                                Optional.empty()));
            }
        }
        all.add(statement);
        InheritedStatement<List<ResolvedDecoratorStatement>> after =
                InheritedStatement.by(profile, all, Optional.ofNullable(before));
        // Only a whole list settles a dispute.
        boolean isOpen = before != null && statement.whole().isEmpty();
        changes.put(
                slot,
                isOpen
                        ? new InheritedStatement<>(
                                all, profile, before.disagreement(), after.over())
                        : after);
    }

    private static boolean isAgain(
            ResolvedDecoratorStatement statement, List<ResolvedDecorator> inherited) {
        return statement.whole().filter(own -> texts(own).equals(texts(inherited))).isPresent();
    }

    private static InheritedStatement<List<ResolvedDecoratorStatement>> join(
            int profile, ProfileHierarchy hierarchy, List<InheritedDecorators> parents, int slot) {
        List<InheritedStatement<List<ResolvedDecoratorStatement>>> words = new ArrayList<>();
        for (InheritedDecorators parent : parents) {
            if (parent.changes.get(slot) != null) {
                words.add(parent.changes.get(slot));
            }
        }
        return InheritedStatement.join(profile, words, hierarchy, InheritedDecorators::sameList);
    }

    private static boolean sameList(
            List<ResolvedDecoratorStatement> one, List<ResolvedDecoratorStatement> other) {
        return texts(listOf(one)).equals(texts(listOf(other)));
    }

    private static List<ResolvedDecorator> listOf(List<ResolvedDecoratorStatement> changes) {
        List<ResolvedDecorator> list = List.of();
        for (ResolvedDecoratorStatement change : changes) {
            list = change.applyTo(list);
        }
        return list;
    }

    private static List<String> texts(List<ResolvedDecorator> list) {
        return list.stream().map(ResolvedDecorator::text).toList();
    }

    List<ResolvedProfile.Clash> clashes() {
        List<ResolvedProfile.Clash> clashes = new ArrayList<>();
        changes.forEach(
                (slot, statement) ->
                        ResolvedProfile.Clash.in(statement, slot, InheritedDecorators::lastPlace)
                                .ifPresent(clashes::add));
        return clashes;
    }

    private static SourcePosition lastPlace(
            InheritedStatement<List<ResolvedDecoratorStatement>> statement) {
        return statement.what().get(statement.what().size() - 1).declared().at();
    }
}
