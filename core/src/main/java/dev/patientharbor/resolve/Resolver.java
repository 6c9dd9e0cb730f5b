package dev.patientharbor.resolve;

import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.declared.Areas;
import dev.patientharbor.declared.BindingResolver;
import dev.patientharbor.declared.ConsumerReader;
import dev.patientharbor.declared.DecorationResolver;
import dev.patientharbor.declared.ResolvedConsumer;
import dev.patientharbor.declared.StatedKeys;
import dev.patientharbor.declared.ValuedBlueprints;
import dev.patientharbor.declared.WordsResolver;
import dev.patientharbor.inherited.BoundAnywhere;
import dev.patientharbor.inherited.EntryFinder;
import dev.patientharbor.inherited.ResolvedEntry;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.inherited.Side;
import dev.patientharbor.model.Declaration;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.Settings;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.TypeRef;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.Lookup;
import dev.patientharbor.needs.Blueprints;
import dev.patientharbor.needs.FactoryReader;
import dev.patientharbor.needs.Levels;
import dev.patientharbor.needs.Marks;
import dev.patientharbor.needs.NeedReader;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.types.Generics;
import dev.patientharbor.types.ValueTypes;
import dev.patientharbor.values.AnswerCheck;
import dev.patientharbor.values.Conversion;
import dev.patientharbor.wiring.FilledIn;
import dev.patientharbor.wiring.Lifetimes;
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

    private final Declaration set;
    private final Side side;
    private final CodeIndex code;
    private final ClassNames names;
    private final SlotTable slots = new SlotTable();
    private final Levels levels = new Levels();
    private final Areas areas;
    private final Marks marks;
    private final Lifetimes lifetimes;
    private final Blueprints blueprints;
    private final SlotFiller filler;
    private final FilledIn filledIn;
    private final List<Lookup> otherNames = new ArrayList<>();
    private final StatedKeys statedKeys;
    private final Settings settings;
    private final WordsResolver words;
    private final ConsumerReader consumers;
    private final SortedMap<Integer, ResolvedProfile> profiles = new TreeMap<>();

    private Resolver(Declaration set, Side side, Settings settings) {
        this.set = set;
        this.settings = settings;
        this.side = side;
        code = side.code();
        names = new ClassNames(code, set);
        Generics generics = new Generics(code);
        marks = new Marks(set.marks(), names);
        lifetimes = new Lifetimes(code, marks, set.defaultLifetime());
        NeedReader needs = new NeedReader(code, generics, marks, slots);
        blueprints = new Blueprints(needs, marks);
        FactoryReader factories = new FactoryReader(needs, slots);
        areas = new Areas(set.areas(), names, code, levels);
        SlotFinder finder = new SlotFinder(slots, levels, areas, generics);
        filledIn = new FilledIn(code, generics, marks, Set.copyOf(set.fillIn()), blueprints, slots);
        filler =
                new SlotFiller(
                        code, slots, levels, finder, blueprints, factories, filledIn, lifetimes);
        Conversion conversion = new Conversion(code, settings);
        ValuedBlueprints valued =
                new ValuedBlueprints(blueprints, names, slots, new ValueTypes(code), conversion);
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
        words =
                new WordsResolver(
                        bindings,
                        new DecorationResolver(bindings, names, slots, generics, valued),
                        names,
                        statedKeys,
                        levels,
                        areas);
        consumers = new ConsumerReader(names, needs, bindings, slots);
        BitSet concerned = side.concerned();
        Map<Integer, ResolvedProfile> withParents = new HashMap<>();
        for (int number : side.hierarchy().inOrder(concerned)) {
            ResolvedProfile profile = profile(number, withParents);
            withParents.put(number, profile);
            if (concerned.get(number)) {
                profiles.put(number, profile);
            }
        }
    }

    /**
     * Decides what every slot of every profile receives, side by side. Loads no class of the user's
     * and runs none.
     */
    public static List<ResolvedSet> resolve(Declaration set, List<Side> sides, Settings settings) {
        List<Resolver> all = sides.stream().map(side -> new Resolver(set, side, settings)).toList();
        BoundAnywhere bound = new BoundAnywhere();
        SortedMap<Integer, List<Resolver>> byProfile = new TreeMap<>();
        for (Resolver one : all) {
            for (int number : one.profiles.keySet()) {
                byProfile.computeIfAbsent(number, it -> new ArrayList<>(1)).add(one);
            }
        }
        byProfile.forEach(
                (number, of) ->
                        of.forEach(
                                one -> bound.add(one.profiles.get(number), one.side, one.slots)));
        return all.stream().map(one -> one.resolve(bound)).toList();
    }

    private ResolvedSet resolve(BoundAnywhere bound) {
        EntryFinder finder = new EntryFinder(code, names, marks, blueprints, slots, bound);
        List<ResolvedEntry> entries = finder.find(set.entry());
        List<ResolvedConsumer> stated = set.consumers().stream().map(consumers::read).toList();
        List<Integer> entrySlots = entrySlots(entries, stated);
        SortedMap<Integer, Wiring> wirings = new TreeMap<>();
        Optional<Wiring> first = Optional.empty();
        for (ResolvedProfile profile : profiles.values()) {
            if (!profile.declared().partial() && side.profiles().get(profile.number())) {
                Wiring wiring = new Wiring(profile, slots, filler, entrySlots, List.of(), first);
                wirings.put(profile.number(), wiring);
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
                levels,
                areas,
                filledIn,
                lifetimes,
                blueprints,
                words.unknownPlaces(),
                words.areasLikeClasses(),
                otherNames,
                statedKeys.unstated().stream()
                        .filter(one -> profiles.containsKey(one.owner()))
                        .toList(),
                profiles,
                bound,
                emptyAllowed,
                entries,
                stated,
                wirings);
    }

    private ResolvedProfile profile(int number, Map<Integer, ResolvedProfile> known) {
        Profile declared = set.profiles().get(number);
        return new ResolvedProfile(
                declared,
                number,
                side.hierarchy(),
                side.hierarchy().parents(number).stream().map(known::get).toList(),
                words.resolve(declared, number),
                slots,
                levels);
    }

    private Set<TypeRef> emptyAllowed() {
        return set.mayBeEmpty().stream()
                .flatMap(text -> words.slot(text, otherNames).stream())
                .map(slot -> slots.slot(slot).contract())
                .collect(Collectors.toSet());
    }

    private List<Integer> entrySlots(List<ResolvedEntry> entries, List<ResolvedConsumer> stated) {
        Set<Integer> distinct = new LinkedHashSet<>();
        for (ResolvedEntry entry : entries) {
            if (entry.isExclusion()) {
                continue;
            }
            entry.classes().forEach(facts -> distinct.add(slots.number(Slot.of(facts.name()))));
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
