package dev.patientharbor.declared;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.Canned;
import dev.patientharbor.model.Given;
import dev.patientharbor.model.Key;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.SlotParser;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.SupplyForm;
import dev.patientharbor.model.TypeRef;
import dev.patientharbor.model.TypeRef.ArrayType;
import dev.patientharbor.model.TypeRef.ClassType;
import dev.patientharbor.model.TypeRef.Primitive;
import dev.patientharbor.model.TypeRef.Wildcard;
import dev.patientharbor.model.With;
import dev.patientharbor.model.Written;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.Lookup;
import dev.patientharbor.needs.FactoryReader;
import dev.patientharbor.needs.Qualifiers;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.types.Carrier;
import dev.patientharbor.types.Fit;
import dev.patientharbor.types.Fitting;
import dev.patientharbor.types.Generics;
import dev.patientharbor.values.AnswerCheck;
import dev.patientharbor.values.AnswerFault;
import dev.patientharbor.values.Conversion;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Looks up the names of bindings, each once, in the profile in which it stands. */
public final class BindingResolver {

    private final ClassNames names;
    private final SlotTable slots;
    private final Fitting fitting;
    private final ValuedBlueprints blueprints;
    private final FactoryReader factories;
    private final Conversion conversion;
    private final AnswerCheck answers;

    public BindingResolver(
            ClassNames names,
            SlotTable slots,
            Generics generics,
            ValuedBlueprints blueprints,
            FactoryReader factories,
            Conversion conversion,
            AnswerCheck answers) {
        this.answers = answers;
        this.factories = factories;
        this.conversion = conversion;
        this.names = names;
        this.slots = slots;
        this.blueprints = blueprints;
        fitting = new Fitting(generics);
    }

    ResolvedBinding resolve(Binding binding, int owner, int place, int level) {
        List<Lookup> lookups = new ArrayList<>();
        Optional<Slot> slot = slot(binding.slot(), binding.at(), lookups);
        Optional<Slot> target =
                binding.supply().target().flatMap(one -> slot(one, binding.at(), lookups));
        Optional<Lookup> implementation = binding.supply().className().map(names::lookup);
        implementation.ifPresent(lookups::add);
        List<Slot> members = members(binding, lookups);
        binding.supply()
                .cannedAnswers()
                .ifPresent(one -> failures(one).map(names::lookup).forEach(lookups::add));
        Optional<ClassFacts> facts = implementation.flatMap(Lookup::facts);
        Optional<Fit> fit = slot.flatMap(one -> fit(binding.supply(), facts, members, one));
        Optional<ValuedBlueprint> valued = blueprint(binding, facts, fit);
        List<ValueFault> faults =
                new ArrayList<>(valued.map(ValuedBlueprint::faults).orElse(List.of()));
        if (slot.isPresent() && binding.supply().form() == SupplyForm.VALUE) {
            Given given = ((Supply.OfValue) binding.supply()).given();
            faults.addAll(ValuedBlueprint.ofContract(given, slot.get(), conversion));
        }
        return new ResolvedBinding(
                binding,
                owner,
                place,
                lookups,
                slot.map(one -> number(one, level)),
                target.map(slots::number),
                implementation,
                fit,
                valued.map(ValuedBlueprint::blueprint),
                members.stream().map(slots::number).toList(),
                faults,
                answerFaults(binding.supply(), slot));
    }

    /** The exceptions that canned answers name. */
    private static Stream<Written> failures(List<Canned> answers) {
        return answers.stream()
                .flatMap(one -> one.cases().stream())
                .map(Canned.Case::answer)
                .flatMap(one -> one.failure().stream())
                .map(Canned.Response.Fails::type);
    }

    private List<AnswerFault> answerFaults(Supply supply, Optional<Slot> slot) {
        return supply.cannedAnswers().isPresent()
                        && slot.isPresent()
                        && slot.get().contract() instanceof ClassType contract
                ? answers.faults(supply.cannedAnswers().get(), contract)
                : List.of();
    }

    private List<Slot> members(Binding binding, List<Lookup> lookups) {
        return binding.supply().members().stream()
                .flatMap(one -> slot(one, binding.at(), lookups).stream())
                .toList();
    }

    /** Members must fit what the collection holds; a contract that is none holds nothing. */
    private Optional<Fit> fitOfMembers(List<Slot> members, Slot slot) {
        if (!Carrier.holdsMany(slot.contract())) {
            return Optional.of(new Fit(Optional.empty(), false, Set.of()));
        }
        TypeRef content = Carrier.innermost(slot.contract());
        boolean lacksKey =
                Carrier.of(slot.contract()).orElseThrow().kind() == Carrier.Kind.MAP
                        && members.stream().anyMatch(one -> one.key().isEmpty());
        return lacksKey
                ? Optional.of(new Fit(Optional.empty(), false, Set.of()))
                : members.stream()
                        .map(Slot::contract)
                        .filter(type -> type instanceof ClassType)
                        .map(type -> fitting.fit((ClassType) type, content))
                        .filter(fit -> !fit.fits())
                        .findFirst();
    }

    /** An object is what its class says, and no class file is needed to know it. */
    private static Optional<Fit> fitOfObject(Supply.HandedIn handed, Slot slot) {
        if (!(slot.contract() instanceof ClassType contract)) {
            return Optional.empty();
        }
        boolean fits = supertypes(handed.object().getClass()).contains(contract.name());
        return Optional.of(
                new Fit(fits ? Optional.of(contract) : Optional.empty(), false, Set.of()));
    }

    private static Set<String> supertypes(Class<?> type) {
        Set<String> names = new HashSet<>();
        List<Class<?>> open = new ArrayList<>(List.of(type));
        for (int i = 0; i < open.size(); i++) {
            if (names.add(open.get(i).getName())) {
                open.addAll(List.of(open.get(i).getInterfaces()));
                Optional.ofNullable(open.get(i).getSuperclass()).ifPresent(open::add);
            }
        }
        return names;
    }

    /** A class is held against the contract, and a factory by what it returns. */
    private Optional<Fit> fit(
            Supply supply, Optional<ClassFacts> facts, List<Slot> members, Slot slot) {
        return switch (supply.form()) {
            case CLASS -> facts.map(one -> fitting.fit(one, slot.contract()));
            case FACTORY ->
                    facts.flatMap(
                                    one ->
                                            FactoryReader.returned(
                                                    one, ((Supply.Factory) supply).method()))
                            .map(type -> fitting.fit(type, slot.contract()));
            case MEMBERS -> fitOfMembers(members, slot);
            case OBJECT -> fitOfObject((Supply.HandedIn) supply, slot);
            case MOCK, ANSWERS, VALUE, CALL, STATED_KEYS, SAME_AS -> Optional.empty();
            case NONE, INHERITED, REMOVED, TO_FILL -> Optional.empty();
        };
    }

    private Optional<ValuedBlueprint> blueprint(
            Binding binding, Optional<ClassFacts> facts, Optional<Fit> fit) {
        With with = binding.with();
        Optional<Supply.Factory> factory = binding.supply().factory();
        if (factory.isPresent()) {
            String method = factory.get().method();
            return facts.map(it -> blueprints.given(factories.of(it, method), with));
        }
        return fit.flatMap(Fit::type)
                .filter(type -> facts.isPresent())
                .map(type -> blueprints.of(facts.orElseThrow(), type, binding.constructor(), with));
    }

    /** Resolves what stands in place of a binding: its slot at its level, but other words. */
    ResolvedBinding again(ResolvedBinding inPlaceOf, Binding binding) {
        int level = slots.level(inPlaceOf.slot().orElseThrow());
        return resolve(binding, inPlaceOf.owner(), inPlaceOf.place(), level);
    }

    /** The number of a slot that is written as text, if it is one and its names are known. */
    Optional<Integer> slot(Written text, List<Lookup> lookups) {
        return SlotParser.slot(text.text())
                .flatMap(slot -> slot(slot, text.at(), lookups))
                .map(slots::number);
    }

    /** The number of a slot in the whole profile, if its names are known. */
    Optional<Integer> number(Slot written, Where at, List<Lookup> lookups) {
        return slot(written, at, lookups).map(slots::number);
    }

    private int number(Slot slot, int level) {
        return slots.at(slots.number(slot), level);
    }

    /** A slot with its names looked up; empty if one of them is not known. */
    Optional<Slot> slot(Slot written, Where at, List<Lookup> lookups) {
        int before = lookups.size();
        TypeRef contract = type(written.contract(), at, lookups);
        Optional<Key> key = written.key().map(one -> key(one, at, lookups));
        return lookups.subList(before, lookups.size()).stream()
                        .allMatch(name -> name.facts().isPresent())
                ? Optional.of(new Slot(contract, key))
                : Optional.empty();
    }

    private TypeRef type(TypeRef written, Where at, List<Lookup> lookups) {
        if (written instanceof ClassType type && Primitive.isName(type.name())) {
            return new Primitive(type.name());
        }
        if (written instanceof ClassType type) {
            Lookup lookup = names.lookup(new Written(type.name(), at));
            lookups.add(lookup);
            List<TypeRef> arguments =
                    type.arguments().stream().map(argument -> type(argument, at, lookups)).toList();
            return new ClassType(
                    lookup.facts().map(ClassFacts::name).orElse(type.name()), arguments);
        }
        if (written instanceof ArrayType array) {
            return new ArrayType(type(array.element(), at, lookups));
        }
        return written instanceof Wildcard wildcard
                ? new Wildcard(
                        wildcard.word(), wildcard.bound().map(bound -> type(bound, at, lookups)))
                : written;
    }

    private Key key(Key written, Where at, List<Lookup> lookups) {
        if (written.isEither()) {
            return bareQualifier(written, at).orElseGet(() -> Key.named(written.text()));
        }
        if (written.qualifier().isEmpty()) {
            return written;
        }
        Lookup lookup = names.lookup(new Written(written.qualifier(), at));
        lookups.add(lookup);
        return lookup.facts().map(it -> Qualifiers.written(written.text(), it)).orElse(written);
    }

    /** A name that is a qualifier's, of which no member need be said. */
    private Optional<Key> bareQualifier(Key written, Where at) {
        return names.lookup(new Written(written.text(), at))
                .facts()
                .filter(it -> Qualifiers.isQualifier(it) && Qualifiers.hasDefaultsAlone(it))
                .map(it -> Qualifiers.written("", it));
    }
}
