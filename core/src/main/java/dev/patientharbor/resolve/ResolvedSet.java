package dev.patientharbor.resolve;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.declared.AreaTable;
import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedConsumer;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.declared.ResolvedDecoratorStatement;
import dev.patientharbor.declared.StatedKeys;
import dev.patientharbor.declared.UnknownPlace;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.inherited.BindingsOfAllSides;
import dev.patientharbor.inherited.CodeSide;
import dev.patientharbor.inherited.ResolvedEntry;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.BlueprintMaker;
import dev.patientharbor.needs.MarkFault;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Settings;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.types.Carrier;
import dev.patientharbor.types.FitCheck;
import dev.patientharbor.types.FitResult;
import dev.patientharbor.types.GenericTypes;
import dev.patientharbor.types.ValueTypes;
import dev.patientharbor.wiring.FillInFinder;
import dev.patientharbor.wiring.LifetimeResolver;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.stream.Stream;

/**
 * All profiles, decided.
 *
 * @param declared what was declared
 * @param settings what settings in values stand for
 * @param side the code that is seen, and by which profiles
 * @param names class names as people write and read them
 * @param slots the numbers of the slots
 * @param areas the areas and their members
 * @param fillIn what may fill slots that nothing binds
 * @param lifetimes how long what fills a slot lives
 * @param blueprints how objects are made, class by class
 * @param unknownPlaces names under {@code within} that are no area and no class, looked up
 * @param areasLikeClasses names under {@code within} that are an area and a class
 * @param otherNames the class names that stand in no profile, area or consumer, looked up
 * @param unstatedKeys classes that should state their keys and do not
 * @param byNumber the profiles that matter on this side, with what they inherit, by their numbers
 * @param bindingsAnywhere what the profiles bind, whichever side checks them
 * @param emptyAllowed the contracts of which a collection may have no member
 * @param entries the entry consumers
 * @param consumers the consumers that the set states
 * @param unreadable what could not be read of all that the answers were looked for in
 * @param wirings those of the profiles that are checked on this side, by the numbers of these
 */
public record ResolvedSet(
        SetDeclaration declared,
        Settings settings,
        CodeSide side,
        ClassNames names,
        SlotTable slots,
        AreaTable areas,
        FillInFinder fillIn,
        LifetimeResolver lifetimes,
        BlueprintMaker blueprints,
        List<UnknownPlace> unknownPlaces,
        List<NameLookup> areasLikeClasses,
        List<NameLookup> otherNames,
        List<StatedKeys.UnstatedKey> unstatedKeys,
        SortedMap<Integer, ResolvedProfile> byNumber,
        BindingsOfAllSides bindingsAnywhere,
        Set<TypeRef> emptyAllowed,
        List<ResolvedEntry> entries,
        List<ResolvedConsumer> consumers,
        Set<Finding> unreadable,
        SortedMap<Integer, Wiring> wirings) {
    public ResolvedSet {
        unknownPlaces = List.copyOf(unknownPlaces);
        otherNames = List.copyOf(otherNames);
        byNumber = Collections.unmodifiableSortedMap(byNumber);
        emptyAllowed = Set.copyOf(emptyAllowed);
        entries = List.copyOf(entries);
        consumers = List.copyOf(consumers);
        unreadable = Set.copyOf(unreadable);
        wirings = Collections.unmodifiableSortedMap(wirings);
    }

    /** The code that the profiles of this side see. */
    public CodeIndex code() {
        return side.code();
    }

    /** Whether the set is said in Java, rather than in a file. */
    public boolean isDefinedInJava() {
        return declared.at().match(file -> false, code -> false, source -> true);
    }

    /** The profiles that matter on this side, in the order of the file. */
    public Collection<ResolvedProfile> profiles() {
        return byNumber.values();
    }

    /** What these profiles bind themselves, profile by profile. */
    public Stream<ResolvedBinding> bindings() {
        return profiles().stream().flatMap(profile -> profile.ownBindings().stream());
    }

    /** Receives decorators, each with the line that names it. */
    public interface DecoratorVisitor {
        void visit(ResolvedDecoratorStatement statement, ResolvedDecorator decorator);
    }

    /** Hands over each decorator that these profiles name themselves, profile by profile. */
    public void eachDecorator(DecoratorVisitor visitor) {
        for (ResolvedProfile profile : profiles()) {
            for (ResolvedDecoratorStatement statement : profile.ownDecoratorStatements()) {
                statement.all().forEach(decorator -> visitor.visit(statement, decorator));
            }
        }
    }

    /** The profile of a number, one that matters on this side. */
    public ResolvedProfile profile(int number) {
        return byNumber.get(number);
    }

    /** Whether the profile of a number matters on this side. */
    public boolean has(int number) {
        return byNumber.containsKey(number);
    }

    /** The wiring of a profile; empty if it is partial, or is checked on another side. */
    public Optional<Wiring> wiring(ResolvedProfile profile) {
        return Optional.ofNullable(wirings.get(profile.profileNumber()));
    }

    /** The wirings of the profiles that are checked, in the order of the file. */
    public Collection<Wiring> checked() {
        return wirings.values();
    }

    /** Lists by the number of a profile which of the checked profiles are that one or extend it. */
    public Map<Integer, BitSet> heirs() {
        BitSet checked = new BitSet();
        wirings.keySet().forEach(checked::set);
        return side.hierarchy().heirs(checked);
    }

    /**
     * Profiles that extend each other in a circle, each as their numbers, the one that stands first
     * in the file first.
     */
    public List<List<Integer>> extendsCycles() {
        return byNumber.keySet().stream()
                .flatMap(profile -> side.hierarchy().cycles(profile).stream())
                .toList();
    }

    /** Receives seats. */
    public interface SeatVisitor {
        void visit(Wiring wiring, int seat);
    }

    /** Hands over each seat once, and again where another profile fills it in another way. */
    public void eachDistinctSeat(SeatVisitor visitor) {
        Optional<Wiring> first = Optional.empty();
        for (Wiring wiring : checked()) {
            for (int place : wiring.seatsUnlike(first)) {
                visitor.visit(wiring, wiring.reached(place));
            }
            if (first.isEmpty()) {
                first = Optional.of(wiring);
            }
        }
    }

    /** The interfaces with a mark that has no effect on an interface, by name. */
    public List<String> pointlessMarks() {
        return fillIn.pointless().stream().map(ClassFacts::name).sorted().toList();
    }

    /** The classes of the code that would fill a slot if nothing bound it, by name. */
    public List<String> fillers(int slot) {
        return names(fillIn.of(slots.slot(slot)).fit());
    }

    /** The classes that would, but ask for the very slot themselves, by name. */
    public List<String> leftOut(int slot) {
        return names(fillIn.of(slots.slot(slot)).leftOut());
    }

    private static List<String> names(List<FillInFinder.Candidate> candidates) {
        return candidates.isEmpty()
                ? List.of()
                : candidates.stream().map(candidate -> candidate.facts().name()).toList();
    }

    /** The slots of a contract, with whatever key, that classes of the code fill by themselves. */
    public List<String> filledUnder(int slot) {
        TypeRef contract = slots.slot(slot).contract();
        return fillIn.members(contract).stream()
                .map(candidate -> text(candidate.fills()))
                .distinct()
                .toList();
    }

    /** Whether a type fits a contract. */
    public FitResult fit(ClassType type, TypeRef contract) {
        return new FitCheck(new GenericTypes(code())).fit(type, contract);
    }

    /**
     * What the consumer asks for of which a level speaks: a class, or what the set states; empty
     * where it is not known which constructor makes it.
     */
    public Optional<List<Need>> needs(BindingLevel level) {
        String name = level.name().orElseThrow();
        Optional<Blueprint> stated =
                consumers.stream()
                        .filter(
                                consumer ->
                                        consumer.blueprint().isPresent()
                                                && consumer.entryName().equals(name))
                        .flatMap(consumer -> consumer.blueprint().stream())
                        .findFirst();
        return stated.or(() -> code().find(name).map(it -> blueprints.of(it, it.asType().raw())))
                .filter(blueprint -> blueprint.fault().isEmpty())
                .map(Blueprint::needs);
    }

    /** What is wrong with the marks of a class of which an object is made, or on it. */
    public List<MarkFault> markFaults(Blueprint blueprint) {
        if (blueprint.method().isPresent() || blueprint.executable().isEmpty()) {
            return List.of();
        }
        List<MarkFault> ofMembers = blueprints.markFaults(blueprint);
        List<MarkFault> ofScopes = lifetimes.faults(blueprint.facts());
        if (ofScopes.isEmpty()) {
            return ofMembers;
        }
        List<MarkFault> all = new ArrayList<>(ofMembers);
        all.addAll(ofScopes);
        return all;
    }

    /** Whether it is known by which constructor a class is made. */
    public boolean canBeMade(ClassFacts facts) {
        return blueprints.of(facts, facts.asType().raw()).fault().isEmpty();
    }

    /** The full names of contracts that somebody asks for, and whose short name it is. */
    public List<String> askedAs(String shortName) {
        return slots.contractsCalled(shortName).stream()
                .filter(name -> code().find(name).isPresent())
                .toList();
    }

    /** The key that a class carries by a mark of its own. */
    public Optional<Key> markedKey(String className) {
        return code().find(className).flatMap(fillIn::keyOf);
    }

    /** Whether an area encloses the class of a consumer, or what some profile binds of it. */
    public boolean encloses(BindingLevel area, BindingLevel consumer) {
        String name = consumer.name().orElseThrow();
        boolean asMember = code().find(name).filter(it -> isAt(area, areas.of(it))).isPresent();
        return asMember
                || profiles().stream()
                        .flatMap(profile -> profile.ownBindings().stream())
                        .filter(binding -> binding.slot().isPresent())
                        .filter(binding -> isOf(binding, name))
                        .anyMatch(binding -> isAt(area, slots.level(binding.slot().orElseThrow())));
    }

    private static boolean isOf(ResolvedBinding binding, String className) {
        return binding.blueprint().filter(it -> it.className().equals(className)).isPresent();
    }

    private boolean isAt(BindingLevel area, BindingLevel level) {
        return area == level || area.encloses(level);
    }

    /** The levels at which a need that starts at a level looks, nearest first, in words. */
    public List<String> lookedAt(BindingLevel level) {
        return level.search().stream().map(this::levelText).toList();
    }

    /**
     * The area or consumer at which a need that starts at a level looks first, as a file names it.
     */
    public String nearestName(BindingLevel level) {
        return level.search().get(0).name().map(names::toWrite).orElse("");
    }

    /** A level in words: {@code the area crane}, {@code NightDesk}, {@code whole profile}. */
    public String levelText(BindingLevel level) {
        if (level.isWhole()) {
            return "whole profile";
        }
        String name = level.name().orElseThrow();
        return level.isConsumer() ? names.shortName(name) + " alone" : "the area " + name;
    }

    /** Who stands at a level, in words: {@code the area crane}, {@code NightDesk}. */
    public String whoStandsAt(BindingLevel level) {
        return level.isConsumer() ? names.shortName(level.name().orElseThrow()) : levelText(level);
    }

    /** What makes an object, as people read it: {@code Sonar}, {@code Clocks#wall}. */
    public String maker(Blueprint blueprint) {
        String name = names.shortName(blueprint.className());
        return blueprint.method().map(method -> name + '#' + method).orElse(name);
    }

    /** The slot of a seat at each level at which a need that starts there looks, nearest first. */
    public List<Integer> slotsOutward(int seat) {
        return slots.level(seat).search().stream()
                .map(level -> slots.at(seat, level.statedAt()))
                .toList();
    }

    /** The slot at the level at which profiles say what fills a seat. */
    public int boundSlot(int seat) {
        return slots.at(seat, slots.level(seat).statedAt());
    }

    /** The contract of a slot, all wrappings taken off. */
    public TypeRef content(int slot) {
        return unwrapped(slots.slot(slot).contract());
    }

    /** A type, all wrappings taken off. */
    public static TypeRef unwrapped(TypeRef type) {
        return Carrier.innermost(type);
    }

    /** Whether the contract of a slot is a map of its members by their keys. */
    public boolean isMap(int slot) {
        return Carrier.of(slots.slot(slot).contract()).flatMap(Carrier::key).isPresent();
    }

    /** The constants that are the keys of a map by an enum; empty for what is no such map. */
    public Optional<List<String>> mapKeys(int slot) {
        return Carrier.of(slots.slot(slot).contract())
                .flatMap(Carrier::key)
                .flatMap(new ValueTypes(code())::constants);
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
