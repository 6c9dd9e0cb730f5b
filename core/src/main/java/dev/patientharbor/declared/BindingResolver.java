package dev.patientharbor.declared;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.CannedMethod;
import dev.patientharbor.model.GivenArguments;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.SupplyForm;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.needs.FactoryReader;
import dev.patientharbor.needs.QualifierReader;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.SlotParser;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ArrayType;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.terms.TypeRef.Primitive;
import dev.patientharbor.terms.TypeRef.Wildcard;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.types.Carrier;
import dev.patientharbor.types.FitCheck;
import dev.patientharbor.types.FitResult;
import dev.patientharbor.types.GenericTypes;
import dev.patientharbor.values.AnswerCheck;
import dev.patientharbor.values.AnswerFault;
import dev.patientharbor.values.ConversionCheck;
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
    private final FitCheck fitting;
    private final ValuedBlueprintMaker blueprints;
    private final FactoryReader factories;
    private final ConversionCheck conversion;
    private final AnswerCheck answers;

    public BindingResolver(
            ClassNames names,
            SlotTable slots,
            GenericTypes generics,
            ValuedBlueprintMaker blueprints,
            FactoryReader factories,
            ConversionCheck conversion,
            AnswerCheck answers) {
        this.answers = answers;
        this.factories = factories;
        this.conversion = conversion;
        this.names = names;
        this.slots = slots;
        this.blueprints = blueprints;
        fitting = new FitCheck(generics);
    }

    ResolvedBinding resolve(Binding binding, int owner, int place, BindingLevel level) {
        List<NameLookup> lookups = new ArrayList<>();
        Optional<Slot> slot = slot(binding.slot(), binding.at(), lookups);
        Optional<Slot> target =
                binding.supply().target().flatMap(named -> slot(named, binding.at(), lookups));
        Optional<NameLookup> implementation = binding.supply().className().map(names::lookup);
        implementation.ifPresent(lookups::add);
        List<Slot> members = members(binding, lookups);
        binding.supply()
                .cannedAnswers()
                .ifPresent(methods -> failures(methods).map(names::lookup).forEach(lookups::add));
        Optional<ClassFacts> facts = implementation.flatMap(NameLookup::facts);
        Optional<FitResult> fit =
                slot.flatMap(named -> fit(binding.supply(), facts, members, named));
        Optional<ValuedBlueprint> valued = blueprint(binding, facts, fit);
        List<ValueFault> faults =
                new ArrayList<>(valued.map(ValuedBlueprint::faults).orElse(List.of()));
        if (slot.isPresent() && binding.supply().form() == SupplyForm.VALUE) {
            GivenValue given = ((Supply.OfValue) binding.supply()).given();
            faults.addAll(ValuedBlueprint.ofContract(given, slot.get(), conversion));
        }
        return new ResolvedBinding(
                binding,
                owner,
                place,
                lookups,
                slot.map(named -> number(named, level)),
                target.map(slots::number),
                implementation,
                fit,
                valued.map(ValuedBlueprint::blueprint),
                numbers(members),
                faults,
                answerFaults(binding.supply(), slot));
    }

    private List<Integer> numbers(List<Slot> members) {
        List<Integer> numbers = new ArrayList<>(0);
        for (Slot member : members) {
            numbers.add(slots.number(member));
        }
        return numbers;
    }

    /** The exceptions that canned answers name. */
    private static Stream<WrittenName> failures(List<CannedMethod> answers) {
        return answers.stream()
                .flatMap(method -> method.cases().stream())
                .map(CannedMethod.Case::answer)
                .flatMap(response -> response.failure().stream())
                .map(CannedMethod.Response.Fails::type);
    }

    private List<AnswerFault> answerFaults(Supply supply, Optional<Slot> slot) {
        return supply.cannedAnswers().isPresent()
                        && slot.isPresent()
                        && slot.get().contract() instanceof ClassType contract
                ? answers.faults(supply.cannedAnswers().get(), contract)
                : List.of();
    }

    private List<Slot> members(Binding binding, List<NameLookup> lookups) {
        List<Slot> members = new ArrayList<>(0);
        for (Slot named : binding.supply().members()) {
            slot(named, binding.at(), lookups).ifPresent(members::add);
        }
        return members;
    }

    /** Holds members against what the collection holds; a contract that is none holds nothing. */
    private Optional<FitResult> fitOfMembers(List<Slot> members, Slot slot) {
        if (!Carrier.holdsMany(slot.contract())) {
            return Optional.of(new FitResult(Optional.empty(), false, Set.of()));
        }
        TypeRef content = Carrier.innermost(slot.contract());
        boolean lacksKey =
                Carrier.of(slot.contract()).orElseThrow().kind() == Carrier.Kind.MAP
                        && members.stream().anyMatch(named -> named.key().isEmpty());
        return lacksKey
                ? Optional.of(new FitResult(Optional.empty(), false, Set.of()))
                : members.stream()
                        .map(Slot::contract)
                        .filter(type -> type instanceof ClassType)
                        .map(type -> fitting.fit((ClassType) type, content))
                        .filter(fit -> !fit.fits())
                        .findFirst();
    }

    /**
     * Holds a handed-in object against the contract; its class says it, and no class file is
     * needed.
     */
    private static Optional<FitResult> fitOfObject(Supply.HandedIn handed, Slot slot) {
        if (!(slot.contract() instanceof ClassType contract)) {
            return Optional.empty();
        }
        boolean fits = supertypes(handed.object().getClass()).contains(contract.name());
        return Optional.of(
                new FitResult(fits ? Optional.of(contract) : Optional.empty(), false, Set.of()));
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

    /** Holds a class against the contract, and a factory by what it returns. */
    private Optional<FitResult> fit(
            Supply supply, Optional<ClassFacts> facts, List<Slot> members, Slot slot) {
        return switch (supply.form()) {
            case CLASS -> facts.map(found -> fitting.fit(found, slot.contract()));
            case FACTORY ->
                    facts.flatMap(
                                    found ->
                                            FactoryReader.returned(
                                                    found, ((Supply.Factory) supply).method()))
                            .map(type -> fitting.fit(type, slot.contract()));
            case MEMBERS -> fitOfMembers(members, slot);
            case OBJECT -> fitOfObject((Supply.HandedIn) supply, slot);
            case MOCK, ANSWERS, VALUE, CALL, STATED_KEYS, SAME_AS -> Optional.empty();
            case NONE, INHERITED, REMOVED, TO_FILL -> Optional.empty();
        };
    }

    private Optional<ValuedBlueprint> blueprint(
            Binding binding, Optional<ClassFacts> facts, Optional<FitResult> fit) {
        GivenArguments with = binding.with();
        Optional<Supply.Factory> factory = binding.supply().factory();
        if (factory.isPresent()) {
            String method = factory.get().method();
            return facts.map(it -> blueprints.given(factories.of(it, method), with));
        }
        return fit.flatMap(FitResult::type)
                .filter(type -> facts.isPresent())
                .map(type -> blueprints.of(facts.orElseThrow(), type, binding.constructor(), with));
    }

    /** Resolves what stands in place of a binding: its slot at its level, but other words. */
    ResolvedBinding resolveInPlaceOf(ResolvedBinding inPlaceOf, Binding binding) {
        BindingLevel level = slots.level(inPlaceOf.slot().orElseThrow());
        return resolve(binding, inPlaceOf.owner(), inPlaceOf.place(), level);
    }

    /** The number of a slot that is written as text, if it is one and its names are known. */
    Optional<Integer> slot(WrittenName text, List<NameLookup> lookups) {
        return SlotParser.slot(text.text())
                .flatMap(slot -> slot(slot, text.at(), lookups))
                .map(slots::number);
    }

    /** The number of a slot in the whole profile, if its names are known. */
    Optional<Integer> number(Slot written, SourcePosition at, List<NameLookup> lookups) {
        return slot(written, at, lookups).map(slots::number);
    }

    private int number(Slot slot, BindingLevel level) {
        return slots.at(slots.number(slot), level);
    }

    /** A slot with its names looked up; empty if one of them is not known. */
    Optional<Slot> slot(Slot written, SourcePosition at, List<NameLookup> lookups) {
        int before = lookups.size();
        TypeRef contract = type(written.contract(), at, lookups);
        Optional<Key> key = written.key().map(other -> key(other, at, lookups));
        for (NameLookup name : lookups.subList(before, lookups.size())) {
            if (name.facts().isEmpty()) {
                return Optional.empty();
            }
        }
        return Optional.of(new Slot(contract, key));
    }

    private TypeRef type(TypeRef written, SourcePosition at, List<NameLookup> lookups) {
        if (written instanceof ClassType type && Primitive.isName(type.name())) {
            return new Primitive(type.name());
        }
        if (written instanceof ClassType type) {
            NameLookup lookup = names.lookup(new WrittenName(type.name(), at));
            lookups.add(lookup);
            List<TypeRef> arguments = new ArrayList<>(0);
            for (TypeRef argument : type.arguments()) {
                arguments.add(type(argument, at, lookups));
            }
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

    private Key key(Key written, SourcePosition at, List<NameLookup> lookups) {
        if (written.isEither()) {
            return bareQualifier(written, at).orElseGet(() -> Key.named(written.text()));
        }
        if (written.qualifier().isEmpty()) {
            return written;
        }
        NameLookup lookup = names.lookup(new WrittenName(written.qualifier(), at));
        lookups.add(lookup);
        return lookup.facts()
                .map(it -> QualifierReader.written(written.text(), it))
                .orElse(written);
    }

    /** Returns the key of a bare name that is a qualifier's, of which no member need be said. */
    private Optional<Key> bareQualifier(Key written, SourcePosition at) {
        return names.lookup(new WrittenName(written.text(), at))
                .facts()
                .filter(
                        it ->
                                QualifierReader.isQualifier(it)
                                        && QualifierReader.hasDefaultsAlone(it))
                .map(it -> QualifierReader.written("", it));
    }
}
