package dev.patientharbor.inherited;

import dev.patientharbor.declared.ProfileStatements;
import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.declared.ResolvedDecoratorStatement;
import dev.patientharbor.declared.ResolvedDemand;
import dev.patientharbor.declared.ResolvedExpectation;
import dev.patientharbor.declared.ResolvedLoosening;
import dev.patientharbor.declared.ResolvedReach;
import dev.patientharbor.declared.RuleSubject;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Profile;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** One profile with everything that it inherits, names looked up. */
public final class ResolvedProfile {

    private final Profile declared;
    private final int profileNumber;
    private final ProfileHierarchy hierarchy;
    private final boolean lacksParents;
    private final List<ResolvedBinding> ownBindings;
    private final List<ResolvedDecoratorStatement> ownDecoratorStatements;
    private final List<ResolvedReach> reaches = new ArrayList<>();
    private final List<ResolvedReach> ownReaches;
    private final BitSet statesAt = new BitSet();
    private final boolean plain;
    private final InheritedBindings bindings;
    private final Optional<InheritedStatement<Lifetime>> lifetime;
    private final Optional<InheritedStatement<Boolean>> eager;
    private final InheritedDecorators decorators;
    private final List<ResolvedDemand> demands = new ArrayList<>();
    private final List<LoosenedDemand> loosenedDemands = new ArrayList<>();
    private final List<ResolvedExpectation> expectations;

    /** A decorator that is dropped where it is not. */
    public record NeedlessDrop(ResolvedDecoratorStatement decoration, ResolvedDecorator dropped) {}

    /** Parents that say different things of a slot, and no word since. */
    public record Clash(int slot, int meet, List<SourcePosition> words) {

        /** Returns the clash in what is said of a slot, if there is one. */
        static <T> Optional<Clash> in(
                InheritedStatement<T> statement,
                int slot,
                Function<InheritedStatement<T>, SourcePosition> place) {
            return statement
                    .disagreement()
                    .map(
                            disagreement ->
                                    new Clash(
                                            slot,
                                            disagreement.meet(),
                                            disagreement.words().stream().map(place).toList()));
        }
    }

    /** A rule that is loosened, and the rule of a parent that it is, if one is inherited. */
    public record LoosenedDemand(ResolvedLoosening loosening, Optional<ResolvedDemand> rule) {}

    /**
     * A word that says what is inherited anyway.
     *
     * @param slot of which slot, at its level
     * @param at where it stands
     * @param inherited where the word stands that says the same
     * @param binding the binding, if it is one; else it is a list of decorators
     */
    public record RepeatedStatement(
            int slot,
            SourcePosition at,
            SourcePosition inherited,
            Optional<ResolvedBinding> binding) {}

    public ResolvedProfile(
            Profile declared,
            int number,
            ProfileHierarchy hierarchy,
            List<ResolvedProfile> parents,
            ProfileStatements statements,
            SlotTable slots) {
        this.declared = declared;
        this.profileNumber = number;
        this.hierarchy = hierarchy;
        ownDecoratorStatements = List.copyOf(statements.decorations());
        lacksParents =
                !hierarchy.unknownParents(number).isEmpty()
                        || parents.stream().anyMatch(ResolvedProfile::lacksParents);
        bindings =
                new InheritedBindings(
                        number,
                        hierarchy,
                        parents.stream().map(profile -> profile.bindings).toList(),
                        statements.bindings(),
                        statements.again());
        ownBindings = List.copyOf(bindings.ownBindings());
        decorators =
                new InheritedDecorators(
                        number,
                        hierarchy,
                        parents.stream().map(profile -> profile.decorators).toList(),
                        ownDecoratorStatements,
                        slots);
        lifetime = term(declared.terms().lifetime(), parents, profile -> profile.lifetime);
        eager = term(declared.terms().eager(), parents, profile -> profile.eager);
        ownReaches = List.copyOf(statements.reaches());
        reaches.addAll(ownReaches);
        expectations = statements.expectations();
        Set<ResolvedDemand> seen = Collections.newSetFromMap(new IdentityHashMap<>());
        for (ResolvedProfile parent : parents) {
            parent.demands.stream().filter(seen::add).forEach(demands::add);
        }
        loosen(statements.loosenings());
        demands.addAll(statements.demands());
        for (ResolvedProfile parent : parents) {
            reaches.addAll(parent.reaches);
            statesAt.or(parent.statesAt);
        }
        ownBindings.forEach(
                binding ->
                        binding.slot().ifPresent(slot -> statesAt.set(slots.level(slot).number())));
        ownDecoratorStatements.forEach(
                statement ->
                        statement
                                .slot()
                                .ifPresent(slot -> statesAt.set(slots.level(slot).number())));
        reaches.forEach(reach -> statesAt.set(reach.level().number()));
        plain = statesAt.length() <= 1;
    }

    /** Takes out the rules that are loosened. */
    private void loosen(List<ResolvedLoosening> loosenings) {
        if (loosenings.isEmpty()) {
            return;
        }
        Map<RuleSubject, ResolvedDemand> first = new HashMap<>();
        demands.forEach(demand -> first.putIfAbsent(demand.subject(), demand));
        for (ResolvedLoosening loosening : loosenings) {
            loosenedDemands.add(
                    new LoosenedDemand(
                            loosening, Optional.ofNullable(first.get(loosening.subject()))));
        }
        Set<RuleSubject> out =
                loosenings.stream().map(ResolvedLoosening::subject).collect(Collectors.toSet());
        demands.removeIf(demand -> out.contains(demand.subject()));
    }

    /** Returns what it says of itself, or else what its parents say. */
    private <T> Optional<InheritedStatement<T>> term(
            Optional<T> own,
            List<ResolvedProfile> parents,
            Function<ResolvedProfile, Optional<InheritedStatement<T>>> inherited) {
        List<InheritedStatement<T>> above =
                parents.stream().flatMap(parent -> inherited.apply(parent).stream()).toList();
        Optional<InheritedStatement<T>> joined =
                above.isEmpty()
                        ? Optional.empty()
                        : Optional.of(
                                InheritedStatement.join(
                                        profileNumber, above, hierarchy, Object::equals));
        return own.isPresent()
                ? Optional.of(InheritedStatement.by(profileNumber, own.get(), joined))
                : joined;
    }

    /** The rules that hold in it, those of its parents first. */
    public List<ResolvedDemand> demands() {
        return demands;
    }

    /** The rules that it loosens, in order. */
    public List<LoosenedDemand> loosenedDemands() {
        return loosenedDemands;
    }

    /** What it expects its consumers to receive. */
    public List<ResolvedExpectation> expectations() {
        return expectations;
    }

    /** Its own bindings that change a part of an inherited one, each with that one. */
    public Map<ResolvedBinding, ResolvedBinding> changedBindings() {
        return bindings.changedBindings();
    }

    /** The bindings that hold in it, whatever their level, in the order of their slots. */
    public List<ResolvedBinding> bindings() {
        return bindings.all();
    }

    /** The lifetime that holds in it where neither a binding nor a mark says otherwise. */
    public Optional<Lifetime> lifetime() {
        return lifetime.map(InheritedStatement::what);
    }

    /** Whether everything is made at the start. */
    public boolean isEager() {
        return eager.map(InheritedStatement::what).orElse(false);
    }

    /** The terms of which its parents, or theirs, say different things: the keys of the file. */
    public List<String> termsInDispute() {
        List<String> disputed = new ArrayList<>();
        if (lifetime.flatMap(InheritedStatement::disagreement).isPresent()) {
            disputed.add("lifetime");
        }
        if (eager.flatMap(InheritedStatement::disagreement).isPresent()) {
            disputed.add("eager");
        }
        return disputed;
    }

    public Profile declared() {
        return declared;
    }

    /** Its place in the file, from 0. */
    public int profileNumber() {
        return profileNumber;
    }

    /** Whether it extends the other, directly or not, or is it. */
    public boolean isOrExtends(int other) {
        return profileNumber == other || hierarchy.ancestors(profileNumber).get(other);
    }

    /**
     * Returns the numbers of this profile and of all that it extends, in the order in which they
     * are looked at.
     */
    public List<Integer> line() {
        return hierarchy.nearestFirst(profileNumber);
    }

    /** Returns the numbers of this profile and of all that it extends. */
    public BitSet lineage() {
        return hierarchy.lineage(profileNumber);
    }

    /**
     * Whether it extends, directly or not, a profile that does not exist: what that would have said
     * is not known.
     */
    public boolean lacksParents() {
        return lacksParents;
    }

    /** The parents that do not exist. */
    public List<WrittenName> unknownParents() {
        return hierarchy.unknownParents(profileNumber);
    }

    public List<ResolvedBinding> ownBindings() {
        return ownBindings;
    }

    public List<ResolvedDecoratorStatement> ownDecoratorStatements() {
        return ownDecoratorStatements;
    }

    /** What it says itself of how far needs may look. */
    public List<ResolvedReach> ownReaches() {
        return ownReaches;
    }

    /** The binding that holds for a slot at its level, its own or inherited. */
    public Optional<ResolvedBinding> binding(int slot) {
        return bindings.find(slot);
    }

    /** All that is said of a slot at its level, the word that counts first. */
    public List<ResolvedBinding> statements(int slot) {
        return bindings.statements(slot);
    }

    /** The inherited bindings of a slot that no longer hold here, nearest first. */
    public List<ResolvedBinding> hidden(int slot) {
        return bindings.hidden(slot);
    }

    /** The decorators that hold for a slot at its level, outermost first. */
    public List<ResolvedDecorator> decorators(int slot) {
        return decorators.list(slot);
    }

    /** The slots that have decorators, in the order in which they were said. */
    public Iterable<Integer> decoratedSlots() {
        return decorators.slots();
    }

    /** Bindings of its own of one slot, two or more of them each. */
    public List<List<ResolvedBinding>> boundTwice() {
        return bindings.boundTwice();
    }

    /** Words of its own that remove or change what is not there. */
    public List<ResolvedBinding> needlessChanges() {
        return bindings.needlessChanges();
    }

    /** Words of its own that say what is inherited anyway. */
    public List<RepeatedStatement> repeatedStatements() {
        List<RepeatedStatement> repeats = new ArrayList<>(bindings.repeatedStatements());
        repeats.addAll(decorators.repeatedStatements());
        return repeats;
    }

    public List<NeedlessDrop> needlessDrops() {
        return decorators.needlessDrops();
    }

    /** Where its parents, or theirs, disagree, and nobody has settled it. */
    public List<Clash> clashes() {
        List<Clash> clashes = new ArrayList<>(bindings.clashes());
        clashes.addAll(decorators.clashes());
        return clashes;
    }

    /** Returns whether two profiles say the very same of a slot, or nothing. */
    public boolean saysTheSameAs(ResolvedProfile other, int slot) {
        return bindings.saysTheSameAs(other.bindings, slot);
    }

    /** Whether nothing is said but for the profile as a whole. */
    public boolean statesWholeProfileOnly() {
        return plain;
    }

    /** Whether no slot has decorators. */
    public boolean isUndecorated() {
        return decorators.isEmpty();
    }

    /** Whether anything is said at a level. */
    public boolean statesAt(BindingLevel level) {
        return statesAt.get(level.number());
    }

    /** Whether decorators of a slot are spoken of at its very level. */
    public boolean decoratesAt(int slot) {
        return decorators.statesAt(slot);
    }

    /** What limits how far needs may look, its own words before inherited ones. */
    public List<ResolvedReach> reaches() {
        return reaches;
    }

    /**
     * The place of a slot among the slots of its level, in collections: parents before children, a
     * replaced variant where the first one stood.
     */
    public long placeOf(int slot) {
        ResolvedBinding first = bindings.first(slot);
        return (long) hierarchy.placeInLine(profileNumber, first.owner()) << Integer.SIZE
                | first.place();
    }
}
