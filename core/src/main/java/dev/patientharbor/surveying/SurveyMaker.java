package dev.patientharbor.surveying;

import dev.patientharbor.bodies.ClassBodies;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.survey.ContractKind;
import dev.patientharbor.survey.ExtractableInterface;
import dev.patientharbor.survey.HandWiring;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.survey.SharedState;
import dev.patientharbor.survey.Survey;
import dev.patientharbor.survey.SurveyedContract;
import dev.patientharbor.survey.Touch;
import dev.patientharbor.types.ValueTypes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;

/** Surveys all classes of the code. For one thread. */
public final class SurveyMaker {

    private final CodeIndex code;
    private final TouchTable table;
    private final List<ClassFacts> classes;

    /**
     * @param table what reaches outside
     */
    public SurveyMaker(CodeIndex code, TouchTable table) {
        this.code = code;
        this.table = table;
        classes = code.sorted();
    }

    /**
     * Surveys.
     *
     * @param findings what could not be read
     */
    public Survey survey(List<Finding> findings) {
        BodyIndex bodies = new BodyIndex(code);
        bodies.readAll(classes.stream().map(ClassFacts::name).toList());
        ValueTypes values = new ValueTypes(code);
        List<ClassFacts> concrete = classes.stream().filter(SurveyMaker::canBeMade).toList();
        AskedTypes asked =
                AskedTypes.of(
                        code, concrete.stream().filter(each -> !values.isData(each)).toList());
        Set<String> askedFor = askedContracts(asked);
        List<ClassFacts> made =
                concrete.stream()
                        .filter(each -> !values.isData(each) || isBehind(each, askedFor))
                        .toList();
        SortedMap<String, List<Touch>> touches = new TreeMap<>();
        touches.putAll(
                new TouchFinder(code, table, bodies)
                        .of(made.stream().map(ClassFacts::name).toList()));
        Set<String> contractTypes =
                contractTypes(asked, new ContractTypes(code, askedFor), touches.keySet());
        contractTypes.stream().filter(name -> !nobody(asked, name)).forEach(askedFor::add);
        ContractTypes types = new ContractTypes(code, askedFor);
        List<HardWiring> hardWired = new ArrayList<>();
        List<HandWiring> handWiring = new ArrayList<>();
        List<SharedState> shared = new ArrayList<>();
        InterfaceExtractor interfaces = new InterfaceExtractor(code);
        SharedStateFinder sharedStates =
                new SharedStateFinder(code, () -> new TouchFinder(code, table, bodies));
        sharedStates.note(classes.stream().map(ClassFacts::name).toList());
        new NestSurvey(code, askedFor)
                .findings(classes)
                .forEach(
                        found -> {
                            hardWired.addAll(found.hardWired());
                            handWiring.addAll(found.handWiring());
                        });
        for (ClassFacts facts : classes) {
            bodies.classBodies(facts.name())
                    .ifPresent(
                            each -> {
                                interfaces.add(each);
                                addShared(each, types, sharedStates, shared);
                            });
        }
        hardWired.sort(HardWiring.ORDER);
        List<SurveyedContract> contracts = contracts(contractTypes, made, types, asked, hardWired);
        List<ExtractableInterface> extractable =
                contracts.stream()
                        .filter(contract -> contract.kind() == ContractKind.CLASS)
                        .flatMap(contract -> interfaces.of(contract.name()).stream())
                        .toList();
        List<String> entries = entries(made, asked, types);
        Set<String> told = told(contracts, entries, hardWired);
        touches.keySet().retainAll(told);
        return new Survey(
                code.size(),
                contracts,
                extractable,
                entries,
                hardWired,
                handWiring,
                shared,
                touches,
                findings);
    }

    /** Whether objects of a class may be supplied, or ask for others, if it is no data. */
    private static boolean canBeMade(ClassFacts facts) {
        return !facts.isInterface()
                && (!facts.isAbstract() || facts.isEnum())
                && !facts.isInMethod()
                && !facts.isPrivate();
    }

    /** The interfaces and abstract classes for which somebody asks, those of the JDK included. */
    private Set<String> askedContracts(AskedTypes asked) {
        Set<String> found = new TreeSet<>(asked.typesOfJdk());
        ContractTypes types = new ContractTypes(code, found);
        asked.types().stream().filter(types::couldBeContract).forEach(found::add);
        return found;
    }

    private boolean isBehind(ClassFacts facts, Set<String> contracts) {
        return code.lineage(facts.name()).stream().anyMatch(contracts::contains);
    }

    /**
     * The contracts: those of the code, those of the JDK that are asked for, and the classes that
     * are asked for and have needs of their own or reach outside.
     */
    private Set<String> contractTypes(AskedTypes asked, ContractTypes types, Set<String> touching) {
        Set<String> found = new TreeSet<>(asked.typesOfJdk());
        for (ClassFacts facts : classes) {
            if (types.isContract(facts.name())) {
                found.add(facts.name());
            }
        }
        Set<String> askers = new HashSet<>();
        found.forEach(contract -> askers.addAll(asked.askedBy(contract)));
        for (String type : asked.types()) {
            if (code.find(type).filter(SurveyMaker::canBeMade).isPresent()
                    && (askers.contains(type) || touching.contains(type))) {
                found.add(type);
            }
        }
        return found;
    }

    private List<SurveyedContract> contracts(
            Set<String> names,
            List<ClassFacts> made,
            ContractTypes types,
            AskedTypes asked,
            List<HardWiring> hardWired) {
        Map<String, TreeSet<String>> implementations = new TreeMap<>();
        for (ClassFacts facts : made) {
            for (String type : types.lineage(facts.name())) {
                if (names.contains(type)) {
                    implementations.computeIfAbsent(type, key -> new TreeSet<>()).add(facts.name());
                }
            }
        }
        Map<String, TreeSet<String>> hardWiredIn = new TreeMap<>();
        hardWired.forEach(
                wiring ->
                        hardWiredIn
                                .computeIfAbsent(wiring.contract(), key -> new TreeSet<>())
                                .add(wiring.consumer()));
        List<SurveyedContract> found = new ArrayList<>();
        for (String name : names) {
            SurveyedContract contract =
                    new SurveyedContract(
                            name,
                            kind(name),
                            List.copyOf(implementations.getOrDefault(name, new TreeSet<>())),
                            List.copyOf(asked.askedBy(name)),
                            List.copyOf(hardWiredIn.getOrDefault(name, new TreeSet<>())));
            found.add(contract);
        }
        return found;
    }

    private ContractKind kind(String name) {
        return code.find(name)
                .map(
                        facts ->
                                facts.isInterface()
                                        ? ContractKind.INTERFACE
                                        : facts.isAbstract()
                                                ? ContractKind.ABSTRACT_CLASS
                                                : ContractKind.CLASS)
                .orElse(ContractKind.INTERFACE);
    }

    /**
     * The classes that ask for contracts, and that nobody asks for: nor for what they implement.
     */
    private static List<String> entries(
            List<ClassFacts> made, AskedTypes asked, ContractTypes types) {
        Set<String> askers = new TreeSet<>();
        asked.types().stream()
                .filter(types::isContract)
                .forEach(contract -> askers.addAll(asked.askedBy(contract)));
        return made.stream()
                .map(ClassFacts::name)
                .filter(askers::contains)
                .filter(name -> types.lineage(name).stream().allMatch(each -> nobody(asked, each)))
                .toList();
    }

    private static boolean nobody(AskedTypes asked, String type) {
        return asked.askedBy(type).isEmpty();
    }

    /** The static fields whose state changes, and those that hold a contract. */
    private static void addShared(
            ClassBodies bodies,
            ContractTypes types,
            SharedStateFinder finder,
            List<SharedState> shared) {
        Map<String, SharedState> changing = new HashMap<>();
        finder.of(bodies).forEach(state -> changing.put(state.field(), state));
        for (ClassBodies.Field field : bodies.fields()) {
            boolean holdsContract =
                    field.isStatic()
                            && !field.isConstant()
                            && (types.isContract(field.type())
                                    || !types.contractsOf(field.type()).isEmpty());
            Optional.ofNullable(changing.get(field.name()))
                    .or(
                            () ->
                                    holdsContract
                                            ? Optional.of(
                                                    new SharedState(
                                                            bodies.name(),
                                                            field.name(),
                                                            field.type(),
                                                            Optional.empty()))
                                            : Optional.empty())
                    .ifPresent(shared::add);
        }
    }

    /** The classes whose touches matter: what stands behind contracts, and what is hard-wired. */
    private static Set<String> told(
            List<SurveyedContract> contracts, List<String> entries, List<HardWiring> hardWired) {
        Set<String> told = new TreeSet<>(entries);
        for (SurveyedContract contract : contracts) {
            told.addAll(contract.implementations());
            told.addAll(contract.askedBy());
        }
        for (HardWiring wiring : hardWired) {
            told.add(wiring.consumer());
            wiring.implementation().ifPresent(told::add);
        }
        return told;
    }
}
