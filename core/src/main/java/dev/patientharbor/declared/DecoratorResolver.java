package dev.patientharbor.declared;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.model.Decorator;
import dev.patientharbor.model.DecoratorStatement;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.types.Carrier;
import dev.patientharbor.types.FitCheck;
import dev.patientharbor.types.FitResult;
import dev.patientharbor.types.GenericTypes;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Looks up the names of decorations, each once, in the profile in which it stands. */
public final class DecoratorResolver {

    private final BindingResolver bindings;
    private final ClassNames names;
    private final SlotTable slots;
    private final GenericTypes generics;
    private final FitCheck fitting;
    private final ValuedBlueprintMaker blueprints;

    /**
     * @param bindings looks up slots
     */
    public DecoratorResolver(
            BindingResolver bindings,
            ClassNames names,
            SlotTable slots,
            GenericTypes generics,
            ValuedBlueprintMaker blueprints) {
        this.bindings = bindings;
        this.names = names;
        this.slots = slots;
        this.generics = generics;
        this.blueprints = blueprints;
        fitting = new FitCheck(generics);
    }

    ResolvedDecoratorStatement resolve(
            DecoratorStatement statement, int owner, BindingLevel level) {
        List<NameLookup> lookups = new ArrayList<>();
        Optional<Slot> slot = bindings.slot(statement.slot(), statement.at(), lookups);
        statement.added().stream()
                .flatMap(decorator -> decorator.builtIn().stream())
                .flatMap(builtIn -> builtIn.failure().stream())
                .map(fail -> names.lookup(fail.with()))
                .forEach(lookups::add);
        return new ResolvedDecoratorStatement(
                statement,
                owner,
                lookups,
                slot.map(named -> slots.at(slots.number(named), level)),
                statement.whole().map(list -> decorators(slot, list)),
                decorators(slot, statement.drop().stream().map(Decorator::ofClass).toList()),
                decorators(slot, statement.innermost()),
                decorators(slot, statement.outermost()));
    }

    private List<ResolvedDecorator> decorators(Optional<Slot> slot, List<Decorator> list) {
        return list.stream()
                .map(
                        listed ->
                                listed.builtIn().isPresent()
                                        ? builtIn(slot, listed)
                                        : decorator(slot, listed, names.lookup(listed.name())))
                .toList();
    }

    /** A built-in one, what it fails with by its full name. */
    private ResolvedDecorator builtIn(Optional<Slot> slot, Decorator decorator) {
        boolean aroundInterface =
                slot.map(Slot::contract)
                        .filter(type -> type instanceof ClassType)
                        .flatMap(type -> facts(((ClassType) type).name()))
                        .filter(facts -> facts.isInterface() && !facts.isSealed())
                        .isPresent();
        Optional<BuiltIn> full =
                decorator
                        .builtIn()
                        .map(builtIn -> builtIn.failure().<BuiltIn>map(this::full).orElse(builtIn));
        return new ResolvedDecorator(
                slot.orElseGet(() -> Slot.of("java.lang.Object")),
                decorator,
                new NameLookup(decorator.name(), List.of()),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                full,
                aroundInterface);
    }

    private Optional<ClassFacts> facts(String className) {
        return names.lookup(new WrittenName(className, SourcePosition.classNamed(className)))
                .facts();
    }

    private BuiltIn full(BuiltIn.Fail fail) {
        return new BuiltIn.Fail(fail.when(), names.full(fail.with()), fail.saying());
    }

    private ResolvedDecorator decorator(Optional<Slot> slot, Decorator declared, NameLookup name) {
        Slot decorated = slot.orElseGet(() -> Slot.of("java.lang.Object"));
        Optional<FitResult> fit =
                slot.flatMap(
                        known -> name.facts().map(facts -> fitting.fit(facts, known.contract())));
        Optional<ValuedBlueprint> valued =
                fit.flatMap(FitResult::type)
                        .map(
                                type ->
                                        blueprints.of(
                                                name.facts().orElseThrow(),
                                                type,
                                                declared.constructor(),
                                                declared.with()));
        Optional<Blueprint> blueprint = valued.map(ValuedBlueprint::blueprint);
        List<Need> inner =
                blueprint
                        .map(
                                made ->
                                        made.needs().stream()
                                                .filter(need -> takes(need, decorated))
                                                .toList())
                        .orElse(List.of());
        return new ResolvedDecorator(
                decorated,
                declared,
                name,
                fit,
                blueprint,
                inner,
                valued.map(ValuedBlueprint::faults).orElse(List.of()),
                Optional.empty(),
                false);
    }

    /** Whether a need is for what a decorator wraps, as it is or to be asked for later. */
    private boolean takes(Need need, Slot decorated) {
        Slot asked = slots.slot(need.slot());
        TypeRef wrapped =
                Carrier.of(asked.contract())
                        .filter(carrier -> carrier.kind() == Carrier.Kind.DEFERRED)
                        .map(Carrier::content)
                        .orElse(asked.contract());
        return asked.key().isEmpty()
                && (wrapped.equals(decorated.contract())
                        || generics.allows(decorated.contract(), wrapped));
    }
}
