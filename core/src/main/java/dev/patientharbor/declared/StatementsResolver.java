package dev.patientharbor.declared;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.DecoratorStatement;
import dev.patientharbor.model.Demand;
import dev.patientharbor.model.Expectation;
import dev.patientharbor.model.LevelStatements;
import dev.patientharbor.model.Loosening;
import dev.patientharbor.model.PlaceStatements;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.Reach;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.terms.DemandKind;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Looks up the names in what a profile says, each at its level. */
public final class StatementsResolver {

    private final BindingResolver bindings;
    private final DecoratorResolver decorators;
    private final ClassNames names;
    private final BindingLevel whole;
    private final AreaTable areas;
    private final StatedKeys statedKeys;
    private final List<NameLookup> areasLikeClasses = new ArrayList<>();
    private final List<UnknownPlace> unknownPlaces = new ArrayList<>();

    public StatementsResolver(
            BindingResolver bindings,
            DecoratorResolver decorators,
            ClassNames names,
            StatedKeys statedKeys,
            BindingLevel whole,
            AreaTable areas) {
        this.statedKeys = statedKeys;
        this.bindings = bindings;
        this.decorators = decorators;
        this.names = names;
        this.whole = whole;
        this.areas = areas;
    }

    /** Names under {@code within} that are no area and no class. */
    public List<UnknownPlace> unknownPlaces() {
        return unknownPlaces;
    }

    /** Names under {@code within} that are an area and a class. */
    public List<NameLookup> areasLikeClasses() {
        return areasLikeClasses;
    }

    /** The number of a slot that is written as text, if its names are known. */
    public Optional<Integer> slot(WrittenName text, List<NameLookup> names) {
        return bindings.slot(text, names);
    }

    public ProfileStatements resolve(Profile profile, int owner) {
        ProfileStatements own =
                new ProfileStatements(
                        new ArrayList<>(),
                        new ArrayList<>(),
                        new ArrayList<>(),
                        profile.terms().demands().stream().map(this::demand).toList(),
                        profile.terms().loosenings().stream().map(this::loosening).toList(),
                        profile.terms().expectations().stream().map(this::expectation).toList(),
                        bindings::resolveInPlaceOf);
        add(profile.words(), owner, whole, own);
        for (PlaceStatements within : profile.within()) {
            level(within.place(), owner).ifPresent(level -> add(within.words(), owner, level, own));
        }
        return own;
    }

    private ResolvedDemand demand(Demand demand) {
        List<NameLookup> lookups = new ArrayList<>();
        Optional<Integer> slot =
                demand.slot().flatMap(named -> bindings.number(named, demand.at(), lookups));
        if (demand.kind() == DemandKind.OUTERMOST) {
            demand.words().stream().map(names::lookup).forEach(lookups::add);
        }
        return new ResolvedDemand(demand, lookups, slot);
    }

    private ResolvedLoosening loosening(Loosening loosening) {
        List<NameLookup> lookups = new ArrayList<>();
        Optional<Integer> slot =
                loosening.slot().flatMap(named -> bindings.number(named, loosening.at(), lookups));
        return new ResolvedLoosening(loosening, lookups, slot);
    }

    private ResolvedExpectation expectation(Expectation expectation) {
        List<NameLookup> lookups = new ArrayList<>();
        Optional<Integer> slot = bindings.number(expectation.slot(), expectation.at(), lookups);
        String consumer = expectation.consumer().text();
        Optional<String> className = Optional.of(consumer).filter(names::isThing);
        if (className.isEmpty()) {
            NameLookup lookup = names.lookup(expectation.consumer());
            lookups.add(lookup);
            className = lookup.facts().map(ClassFacts::name);
        }
        return new ResolvedExpectation(expectation, lookups, className, slot);
    }

    private Optional<BindingLevel> level(WrittenName place, int owner) {
        Optional<BindingLevel> area = areas.find(place.text());
        if (area.isPresent()) {
            NameLookup asClass = names.lookup(place);
            if (!asClass.found().isEmpty()) {
                areasLikeClasses.add(asClass);
            }
            return area;
        }
        if (names.isThing(place.text())) {
            return Optional.of(whole.consumer(place.text()));
        }
        NameLookup lookup = names.lookup(place);
        if (lookup.facts().isEmpty()) {
            unknownPlaces.add(new UnknownPlace(owner, lookup));
        }
        return lookup.facts().map(ClassFacts::name).map(whole::consumer);
    }

    private void add(
            LevelStatements statements, int owner, BindingLevel level, ProfileStatements own) {
        for (Binding binding : statements.bindings()) {
            for (Binding one : statedKeys.expand(binding, owner)) {
                own.bindings().add(bindings.resolve(one, owner, own.bindings().size(), level));
            }
        }
        for (DecoratorStatement statement : statements.decorations()) {
            own.decorations().add(decorators.resolve(statement, owner, level));
        }
        for (Reach reach : statements.reaches()) {
            own.reaches().add(reach(reach, owner, level));
        }
    }

    private ResolvedReach reach(Reach reach, int owner, BindingLevel level) {
        Optional<BindingLevel> upTo = reach.upTo().flatMap(area -> areas.find(area.text()));
        if (reach.upTo().isPresent() && upTo.isEmpty()) {
            areas.addUnknown(reach.upTo().get(), Optional.of(owner));
        }
        return new ResolvedReach(
                reach, level, bindings.slot(reach.need(), new ArrayList<>()), upTo);
    }
}
