package dev.patientharbor.resolve;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.Written;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;

/** One profile with everything that it inherits, names looked up. */
public final class ResolvedProfile {

    private final Profile declared;
    private final int number;
    private final Hierarchy hierarchy;
    private final boolean lacksParents;
    private final List<ResolvedBinding> own;
    private final List<ResolvedDecoration> ownDecorations;
    private final List<List<ResolvedBinding>> boundTwice = new ArrayList<>();
    private final List<DropsNothing> dropsNothing = new ArrayList<>();
    private Said<ResolvedBinding>[] bindings;
    private final Map<Integer, Said<List<ResolvedDecorator>>> decorators = new LinkedHashMap<>();

    /** A decorator that is dropped where it is not. */
    public record DropsNothing(ResolvedDecoration decoration, ResolvedDecorator dropped) {}

    /** Parents that say different things of a slot, and no word since. */
    public record Clash(int slot, int meet, List<Where> words) {}

    ResolvedProfile(
            Profile declared,
            int number,
            Hierarchy hierarchy,
            List<ResolvedProfile> parents,
            List<ResolvedBinding> own,
            List<ResolvedDecoration> ownDecorations) {
        this.declared = declared;
        this.number = number;
        this.hierarchy = hierarchy;
        lacksParents =
                !hierarchy.unknownParents(number).isEmpty()
                        || parents.stream().anyMatch(ResolvedProfile::lacksParents);
        this.own = List.copyOf(own);
        this.ownDecorations = List.copyOf(ownDecorations);
        inheritBindings(parents);
        bindOwn();
        inheritDecorators(parents);
        decorateOwn();
    }

    public Profile declared() {
        return declared;
    }

    /** Its place in the file, from 0. */
    public int number() {
        return number;
    }

    /** Whether it extends the other, directly or not, or is it. */
    public boolean isOrExtends(int other) {
        return number == other || hierarchy.ancestors(number).get(other);
    }

    /** Itself and all that it extends. */
    public BitSet lineage() {
        BitSet all = (BitSet) hierarchy.ancestors(number).clone();
        all.set(number);
        return all;
    }

    /**
     * Whether it extends, directly or not, a profile that does not exist: what that would have said
     * is not known.
     */
    public boolean lacksParents() {
        return lacksParents;
    }

    /** The parents that do not exist. */
    public List<Written> unknownParents() {
        return hierarchy.unknownParents(number);
    }

    public List<ResolvedBinding> own() {
        return own;
    }

    public List<ResolvedDecoration> ownDecorations() {
        return ownDecorations;
    }

    /** The binding that holds for a slot, its own or inherited. */
    public Optional<ResolvedBinding> binding(int slot) {
        Said<ResolvedBinding> said = slot < bindings.length ? bindings[slot] : null;
        return said == null ? Optional.empty() : Optional.of(said.what());
    }

    /** The inherited bindings of a slot that no longer hold here, nearest first. */
    public List<ResolvedBinding> hidden(int slot) {
        List<ResolvedBinding> hidden = new ArrayList<>(0);
        Said<ResolvedBinding> said = slot < bindings.length ? bindings[slot] : null;
        while (said != null && said.over().isPresent()) {
            said = said.over().get();
            hidden.add(said.what());
        }
        return hidden;
    }

    /** The decorators that hold for a slot, outermost first. */
    public List<ResolvedDecorator> decorators(int slot) {
        Said<List<ResolvedDecorator>> said = decorators.isEmpty() ? null : decorators.get(slot);
        return said == null ? List.of() : said.what();
    }

    /** The slots that have decorators, in the order in which they were said. */
    public Iterable<Integer> decoratedSlots() {
        return decorators.keySet();
    }

    /** Bindings of its own of one slot, two or more of them each. */
    public List<List<ResolvedBinding>> boundTwice() {
        return boundTwice;
    }

    public List<DropsNothing> dropsNothing() {
        return dropsNothing;
    }

    /** Where its parents, or theirs, disagree, and nobody has settled it. */
    public List<Clash> clashes() {
        List<Clash> clashes = new ArrayList<>();
        for (int slot = 0; slot < bindings.length; slot++) {
            if (bindings[slot] != null && bindings[slot].disagreement().isPresent()) {
                clashes.add(
                        clash(
                                slot,
                                bindings[slot].disagreement().get(),
                                word -> word.declared().at()));
            }
        }
        decorators.forEach(
                (slot, said) ->
                        said.disagreement()
                                .ifPresent(
                                        one ->
                                                clashes.add(
                                                        clash(
                                                                slot,
                                                                one,
                                                                list ->
                                                                        list.get(0)
                                                                                .name()
                                                                                .written()
                                                                                .at()))));
        return clashes;
    }

    private static <T> Clash clash(
            int slot, Said.Disagreement<T> disagreement, java.util.function.Function<T, Where> at) {
        return new Clash(
                slot,
                disagreement.meet(),
                disagreement.words().stream().map(Said::what).map(at).toList());
    }

    @SuppressWarnings("unchecked")
    private static Said<ResolvedBinding>[] array(int size) {
        return (Said<ResolvedBinding>[]) new Said<?>[size];
    }

    private void inheritBindings(List<ResolvedProfile> parents) {
        int size = parents.stream().mapToInt(parent -> parent.bindings.length).max().orElse(0);
        int needed = own.stream().mapToInt(one -> one.slot().orElse(0) + 1).max().orElse(0);
        if (parents.size() == 1) {
            bindings = Arrays.copyOf(parents.get(0).bindings, Math.max(size, needed));
            return;
        }
        bindings = array(Math.max(size, needed));
        for (int slot = 0; slot < size; slot++) {
            int at = slot;
            bindings[slot] =
                    join(
                            parents,
                            i ->
                                    at < parents.get(i).bindings.length
                                            ? parents.get(i).bindings[at]
                                            : null,
                            (a, b) -> a == b || a.declared().saysTheSameAs(b.declared()));
        }
    }

    private <T> Said<T> join(
            List<ResolvedProfile> parents,
            IntFunction<Said<T>> word,
            java.util.function.BiPredicate<T, T> same) {
        List<Said<T>> words = new ArrayList<>();
        for (int i = 0; i < parents.size(); i++) {
            Said<T> said = word.apply(i);
            if (said != null) {
                words.add(said);
            }
        }
        return words.isEmpty() ? null : Said.join(number, words, hierarchy, same);
    }

    private void bindOwn() {
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
                    bindings[slot] =
                            Said.by(number, all.get(0), Optional.ofNullable(bindings[slot]));
                    if (all.size() > 1) {
                        boundTwice.add(all);
                    }
                });
    }

    private void inheritDecorators(List<ResolvedProfile> parents) {
        for (ResolvedProfile parent : parents) {
            for (int slot : parent.decorators.keySet()) {
                decorators.computeIfAbsent(
                        slot,
                        one ->
                                join(
                                        parents,
                                        i -> parents.get(i).decorators.get(one),
                                        ResolvedProfile::sameClasses));
            }
        }
    }

    private static boolean sameClasses(List<ResolvedDecorator> one, List<ResolvedDecorator> other) {
        return one.stream()
                .map(ResolvedDecorator::className)
                .toList()
                .equals(other.stream().map(ResolvedDecorator::className).toList());
    }

    private void decorateOwn() {
        for (ResolvedDecoration decoration : ownDecorations) {
            decoration
                    .slot()
                    .ifPresent(
                            slot -> {
                                List<ResolvedDecorator> inherited = decorators(slot);
                                decoration
                                        .dropsNothing(inherited)
                                        .forEach(
                                                one ->
                                                        dropsNothing.add(
                                                                new DropsNothing(decoration, one)));
                                decorators.put(
                                        slot,
                                        Said.by(
                                                number,
                                                decoration.applyTo(inherited),
                                                Optional.ofNullable(decorators.get(slot))));
                            });
        }
    }
}
