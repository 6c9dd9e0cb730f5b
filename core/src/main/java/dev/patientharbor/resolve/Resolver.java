package dev.patientharbor.resolve;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.declared.AreaTable;
import dev.patientharbor.declared.BindingResolver;
import dev.patientharbor.declared.ConsumerReader;
import dev.patientharbor.declared.DecoratorResolver;
import dev.patientharbor.declared.ResolvedConsumer;
import dev.patientharbor.declared.StatedKeys;
import dev.patientharbor.declared.StatementsResolver;
import dev.patientharbor.declared.ValuedBlueprintMaker;
import dev.patientharbor.inherited.BindingsOfAllSides;
import dev.patientharbor.inherited.CodeSide;
import dev.patientharbor.inherited.EntryFinder;
import dev.patientharbor.inherited.ResolvedEntry;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.needs.BlueprintMaker;
import dev.patientharbor.needs.FactoryReader;
import dev.patientharbor.needs.KnownMarks;
import dev.patientharbor.needs.NeedReader;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.terms.Settings;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.types.GenericTypes;
import dev.patientharbor.types.ValueTypes;
import dev.patientharbor.values.AnswerCheck;
import dev.patientharbor.values.ConversionCheck;
import dev.patientharbor.wiring.FillInFinder;
import dev.patientharbor.wiring.LifetimeResolver;
import dev.patientharbor.wiring.SlotFiller;
import dev.patientharbor.wiring.SlotFinder;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Resolves every profile of a set against the code. */
public final class Resolver {

    private final SetDeclaration set;
    private final CodeSide side;
    private final CodeIndex code;
    private final ClassNames names;
    private final BindingLevel whole = BindingLevel.newWhole();
    private final SlotTable slots = new SlotTable(whole);
    private final AreaTable areas;
    private final KnownMarks marks;
    private final LifetimeResolver lifetimes;
    private final BlueprintMaker blueprints;
    private final SlotFiller filler;
    private final FillInFinder fillIn;
    private final List<NameLookup> otherNames = new ArrayList<>();
    private final StatedKeys statedKeys;
    private final Settings settings;
    private final StatementsResolver statements;
    private final ConsumerReader consumers;
    private final SortedMap<Integer, ResolvedProfile> profiles = new TreeMap<>();

    private Resolver(SetDeclaration set, CodeSide side, Settings settings) {
        this.set = set;
        this.settings = settings;
        this.side = side;
        code = side.code();
        names = new ClassNames(code, set);
        GenericTypes generics = new GenericTypes(code);
        marks = new KnownMarks(set.marks(), names);
        lifetimes = new LifetimeResolver(code, marks, set.defaultLifetime());
        NeedReader needs = new NeedReader(code, generics, marks, slots);
        blueprints = new BlueprintMaker(needs, marks);
        FactoryReader factories = new FactoryReader(needs, slots);
        areas = new AreaTable(set.areas(), names, code, whole);
        SlotFinder finder = new SlotFinder(slots, areas, generics);
        fillIn =
                new FillInFinder(
                        code, generics, marks, Set.copyOf(set.fillIn()), blueprints, slots);
        filler = new SlotFiller(code, slots, finder, blueprints, factories, fillIn, lifetimes);
        ConversionCheck conversion = new ConversionCheck(code, settings);
        ValuedBlueprintMaker valued =
                new ValuedBlueprintMaker(
                        blueprints, names, slots, new ValueTypes(code), conversion);
        BindingResolver bindings =
                new BindingResolver(
                        names,
                        slots,
                        generics,
                        valued,
                        factories,
                        conversion,
                        new AnswerCheck(code, names, generics, conversion));
        statedKeys = new StatedKeys(code, names);
        statements =
                new StatementsResolver(
                        bindings,
                        new DecoratorResolver(bindings, names, slots, generics, valued),
                        names,
                        statedKeys,
                        whole,
                        areas);
        consumers = new ConsumerReader(names, needs, bindings, slots);
        BitSet concerned = side.concerned();
        Map<Integer, ResolvedProfile> withParents = new HashMap<>();
        for (int profileNumber : side.hierarchy().inOrder(concerned)) {
            ResolvedProfile profile = profile(profileNumber, withParents);
            withParents.put(profileNumber, profile);
            if (concerned.get(profileNumber)) {
                profiles.put(profileNumber, profile);
            }
        }
    }

    /**
     * Decides what every slot of every profile receives, side by side. Loads no class of the user's
     * and runs none.
     */
    public static List<ResolvedSet> resolve(
            SetDeclaration set, List<CodeSide> sides, Settings settings) {
        List<Resolver> all = sides.stream().map(side -> new Resolver(set, side, settings)).toList();
        BindingsOfAllSides bound = new BindingsOfAllSides();
        SortedMap<Integer, List<Resolver>> byProfile = new TreeMap<>();
        for (Resolver one : all) {
            for (int profileNumber : one.profiles.keySet()) {
                byProfile.computeIfAbsent(profileNumber, it -> new ArrayList<>(1)).add(one);
            }
        }
        byProfile.forEach(
                (profileNumber, of) ->
                        of.forEach(
                                resolver ->
                                        bound.add(
                                                resolver.profiles.get(profileNumber),
                                                resolver.side,
                                                resolver.slots)));
        return all.stream().map(resolver -> resolver.resolve(bound)).toList();
    }

    private ResolvedSet resolve(BindingsOfAllSides bound) {
        EntryFinder finder = new EntryFinder(code, names, marks, blueprints, slots, bound);
        List<ResolvedEntry> entries = finder.find(set.entry());
        List<ResolvedConsumer> stated = set.consumers().stream().map(consumers::read).toList();
        List<Integer> entrySlots = entrySlots(entries, stated);
        SortedMap<Integer, Wiring> wirings = new TreeMap<>();
        Optional<Wiring> first = Optional.empty();
        for (ResolvedProfile profile : profiles.values()) {
            if (!profile.declared().partial() && side.profiles().get(profile.profileNumber())) {
                Wiring wiring = new Wiring(profile, slots, filler, entrySlots, List.of(), first);
                wirings.put(profile.profileNumber(), wiring);
                first = first.or(() -> Optional.of(wiring));
            }
        }
        Set<TypeRef> emptyAllowed = emptyAllowed();
        return new ResolvedSet(
                set,
                settings,
                side,
                names,
                slots,
                areas,
                fillIn,
                lifetimes,
                blueprints,
                statements.unknownPlaces(),
                statements.areasLikeClasses(),
                otherNames,
                statedKeys.unstated().stream()
                        .filter(unstated -> profiles.containsKey(unstated.owner()))
                        .toList(),
                profiles,
                bound,
                emptyAllowed,
                entries,
                stated,
                code.unreadable(),
                wirings);
    }

    private ResolvedProfile profile(int profileNumber, Map<Integer, ResolvedProfile> known) {
        Profile declared = set.profiles().get(profileNumber);
        return new ResolvedProfile(
                declared,
                profileNumber,
                side.hierarchy(),
                side.hierarchy().parents(profileNumber).stream().map(known::get).toList(),
                statements.resolve(declared, profileNumber),
                slots);
    }

    private Set<TypeRef> emptyAllowed() {
        return set.mayBeEmpty().stream()
                .flatMap(text -> statements.slot(text, otherNames).stream())
                .map(slot -> slots.slot(slot).contract())
                .collect(Collectors.toSet());
    }

    private List<Integer> entrySlots(List<ResolvedEntry> entries, List<ResolvedConsumer> stated) {
        Set<Integer> distinct = new LinkedHashSet<>();
        for (ResolvedEntry entry : entries) {
            if (entry.isExclusion()) {
                continue;
            }
            for (ClassFacts facts : entry.classes()) {
                distinct.add(slots.number(Slot.of(facts.name())));
                if (facts.isRecord()) {
                    // What is named as a consumer is one, data or not.
                    filler.state(facts.name(), blueprints.of(facts, facts.asType().raw()));
                }
            }
        }
        for (ResolvedConsumer consumer : stated) {
            consumer.sound()
                    .ifPresent(
                            blueprint -> {
                                filler.state(consumer.entryName(), blueprint);
                                distinct.add(slots.number(Slot.of(consumer.entryName())));
                                if (consumer.needsObject()) {
                                    distinct.add(slots.number(Slot.of(blueprint.className())));
                                }
                            });
        }
        return List.copyOf(distinct);
    }
}
