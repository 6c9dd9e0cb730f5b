package dev.patientharbor.declared;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.Decoration;
import dev.patientharbor.model.Demand;
import dev.patientharbor.model.Expectation;
import dev.patientharbor.model.Loosening;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.Reach;
import dev.patientharbor.model.Within;
import dev.patientharbor.model.Words;
import dev.patientharbor.model.Written;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.Lookup;
import dev.patientharbor.needs.Levels;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Looks up the names in what a profile says, each at its level. */
public final class WordsResolver {

    private final BindingResolver bindings;
    private final DecorationResolver decorations;
    private final ClassNames names;
    private final Levels levels;
    private final Areas areas;
    private final StatedKeys statedKeys;
    private final List<Lookup> areasLikeClasses = new ArrayList<>();
    private final List<UnknownPlace> unknownPlaces = new ArrayList<>();

    public WordsResolver(
            BindingResolver bindings,
            DecorationResolver decorations,
            ClassNames names,
            StatedKeys statedKeys,
            Levels levels,
            Areas areas) {
        this.statedKeys = statedKeys;
        this.bindings = bindings;
        this.decorations = decorations;
        this.names = names;
        this.levels = levels;
        this.areas = areas;
    }

    /** Names under {@code within} that are no area and no class. */
    public List<UnknownPlace> unknownPlaces() {
        return unknownPlaces;
    }

    /** Names under {@code within} that are an area and a class. */
    public List<Lookup> areasLikeClasses() {
        return areasLikeClasses;
    }

    /** The number of a slot that is written as text, if its names are known. */
    public Optional<Integer> slot(Written text, List<Lookup> names) {
        return bindings.slot(text, names);
    }

    public ProfileStatements resolve(Profile profile, int number) {
        ProfileStatements own =
                new ProfileStatements(
                        new ArrayList<>(),
                        new ArrayList<>(),
                        new ArrayList<>(),
                        profile.terms().demands().stream().map(this::demand).toList(),
                        profile.terms().loosenings().stream().map(this::loosening).toList(),
                        profile.terms().expectations().stream().map(this::expectation).toList(),
                        bindings::again);
        add(profile.words(), number, Levels.WHOLE, own);
        for (Within within : profile.within()) {
            level(within.place(), number)
                    .ifPresent(level -> add(within.words(), number, level, own));
        }
        return own;
    }

    private ResolvedDemand demand(Demand demand) {
        List<Lookup> lookups = new ArrayList<>();
        Optional<Integer> slot =
                demand.slot().flatMap(one -> bindings.number(one, demand.at(), lookups));
        if (demand.kind() == Demand.Kind.OUTERMOST) {
            demand.words().stream().map(names::lookup).forEach(lookups::add);
        }
        return new ResolvedDemand(demand, lookups, slot);
    }

    private ResolvedLoosening loosening(Loosening loosening) {
        List<Lookup> lookups = new ArrayList<>();
        Optional<Integer> slot =
                loosening.slot().flatMap(one -> bindings.number(one, loosening.at(), lookups));
        return new ResolvedLoosening(loosening, lookups, slot);
    }

    private ResolvedExpectation expectation(Expectation expectation) {
        List<Lookup> lookups = new ArrayList<>();
        Optional<Integer> slot = bindings.number(expectation.slot(), expectation.at(), lookups);
        String consumer = expectation.consumer().text();
        Optional<String> className = Optional.of(consumer).filter(names::isThing);
        if (className.isEmpty()) {
            Lookup lookup = names.lookup(expectation.consumer());
            lookups.add(lookup);
            className = lookup.facts().map(ClassFacts::name);
        }
        return new ResolvedExpectation(expectation, lookups, className, slot);
    }

    private Optional<Integer> level(Written place, int number) {
        Optional<Integer> area = areas.find(place.text());
        if (area.isPresent()) {
            Lookup asClass = names.lookup(place);
            if (!asClass.found().isEmpty()) {
                areasLikeClasses.add(asClass);
            }
            return area;
        }
        if (names.isThing(place.text())) {
            return Optional.of(levels.consumer(place.text()));
        }
        Lookup lookup = names.lookup(place);
        if (lookup.facts().isEmpty()) {
            unknownPlaces.add(new UnknownPlace(number, lookup));
        }
        return lookup.facts().map(ClassFacts::name).map(levels::consumer);
    }

    private void add(Words words, int number, int level, ProfileStatements own) {
        for (Binding binding : words.bindings()) {
            for (Binding one : statedKeys.expand(binding, number)) {
                own.bindings().add(bindings.resolve(one, number, own.bindings().size(), level));
            }
        }
        for (Decoration decoration : words.decorations()) {
            own.decorations().add(decorations.resolve(decoration, number, level));
        }
        for (Reach reach : words.reaches()) {
            own.reaches().add(reach(reach, number, level));
        }
    }

    private ResolvedReach reach(Reach reach, int number, int level) {
        Optional<Integer> upTo = reach.upTo().flatMap(area -> areas.find(area.text()));
        if (reach.upTo().isPresent() && upTo.isEmpty()) {
            areas.tellUnknown(reach.upTo().get(), Optional.of(number));
        }
        return new ResolvedReach(
                reach, level, bindings.slot(reach.need(), new ArrayList<>()), upTo);
    }
}
