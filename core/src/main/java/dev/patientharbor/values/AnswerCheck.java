package dev.patientharbor.values;

import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.CannedMethod;
import dev.patientharbor.model.CannedMethod.Case;
import dev.patientharbor.model.CannedMethod.Response.Fails;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.types.ContractMethods;
import dev.patientharbor.types.ContractMethods.Method;
import dev.patientharbor.types.ContractMethods.Methods;
import dev.patientharbor.types.GenericTypes;
import dev.patientharbor.values.ConversionCheck.Problem;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Holds canned answers against the methods of their contract: the name, the number and types of
 * given arguments, the shape of the answer, and whether a failure may be thrown there.
 */
public final class AnswerCheck {

    /** The types whose answer is that of what they will hold. */
    private static final Set<String> HOLDERS =
            Set.of(
                    "java.util.Optional",
                    "java.util.concurrent.CompletionStage",
                    "java.util.concurrent.CompletableFuture",
                    "java.util.concurrent.Future",
                    "java.util.function.Supplier");

    private static final Set<String> SEQUENCES =
            Set.of("java.util.stream.Stream", "java.util.Iterator");

    private final CodeIndex code;
    private final ClassNames names;
    private final GenericTypes generics;
    private final ConversionCheck conversion;
    private final ContractMethods methods;

    public AnswerCheck(
            CodeIndex code, ClassNames names, GenericTypes generics, ConversionCheck conversion) {
        this.code = code;
        this.names = names;
        this.generics = generics;
        this.conversion = conversion;
        methods = new ContractMethods(code, generics);
    }

    /** Everything in canned answers that a contract cannot take. */
    public List<AnswerFault> faults(List<CannedMethod> answers, ClassType contract) {
        Methods known = methods.of(contract);
        List<AnswerFault> faults = new ArrayList<>(0);
        for (CannedMethod canned : answers) {
            String name = canned.method().text();
            List<Method> named =
                    known.all().stream().filter(method -> method.name().equals(name)).toList();
            if (!named.isEmpty()) {
                canned.cases().forEach(row -> check(name, row, named, faults));
            } else if (known.whole()) {
                faults.add(
                        fault(
                                canned.method().at(),
                                name,
                                names.shortName(contract.name()) + " has no method " + name + ".",
                                known.all().stream().map(Method::name).distinct().toList()));
            }
        }
        return faults;
    }

    private void check(String name, Case row, List<Method> named, List<AnswerFault> faults) {
        List<Method> fitting =
                row.given()
                        .map(
                                given ->
                                        named.stream()
                                                .filter(
                                                        method ->
                                                                method.parameters().size()
                                                                        == given.size())
                                                .toList())
                        .orElse(named);
        if (fitting.isEmpty()) {
            faults.add(
                    fault(
                            row.at(),
                            name,
                            "Here are "
                                    + row.given().orElseThrow().size()
                                    + " arguments for "
                                    + name
                                    + ", and it does not take so many.",
                            named.stream().map(method -> text(method)).toList()));
            return;
        }
        List<AnswerFault> fewest = null;
        for (Method method : fitting) {
            List<AnswerFault> ofMethod = new ArrayList<>();
            check(name, row, method, ofMethod);
            if (fewest == null || ofMethod.size() < fewest.size()) {
                fewest = ofMethod;
            }
        }
        faults.addAll(fewest);
    }

    private String text(Method method) {
        return method.name()
                + '('
                + String.join(
                        ", ",
                        method.parameters().stream()
                                .map(type -> type.text(names::shortName))
                                .toList())
                + ')';
    }

    private void check(String name, Case row, Method method, List<AnswerFault> faults) {
        List<GivenValue> given = row.given().orElse(List.of());
        for (int i = 0; i < given.size(); i++) {
            TypeRef type = method.parameters().get(i);
            for (Problem problem : conversion.problems(given.get(i), type)) {
                faults.add(unfit(problem, name, "takes " + type.text(names::shortName), type));
            }
        }
        row.answer().failure().ifPresent(fails -> failure(name, fails, method, faults));
        for (GivenValue answer : row.answer().answers()) {
            answer(name, answer, method.returns(), faults);
        }
    }

    private void answer(String name, GivenValue answer, TypeRef type, List<AnswerFault> faults) {
        if (type.text().equals("void")) {
            faults.add(
                    fault(
                            answer.at(),
                            name,
                            name + " returns nothing, so it can give no answer.",
                            List.of()));
            return;
        }
        for (Problem problem : conversion.problems(answer, answered(type))) {
            faults.add(unfit(problem, name, "returns " + type.text(names::shortName), type));
        }
    }

    /** The type in which an answer for a return type is written. */
    private TypeRef answered(TypeRef type) {
        if (!(type instanceof ClassType named)) {
            return type instanceof TypeRef.Variable ? TypeRef.of("java.lang.String") : type;
        }
        if (named.name().equals("java.lang.Object")) {
            return TypeRef.of("java.lang.String");
        }
        if (named.arguments().size() != 1) {
            return named;
        }
        if (HOLDERS.contains(named.name())) {
            return answered(named.arguments().get(0));
        }
        return SEQUENCES.contains(named.name())
                ? new ClassType("java.util.List", named.arguments())
                : named;
    }

    private void failure(String name, Fails fails, Method method, List<AnswerFault> faults) {
        NameLookup type = names.lookup(fails.type());
        if (type.facts().isEmpty()) {
            return; // reported as an unknown class
        }
        ClassType thrown = type.facts().get().asType();
        if (!is(thrown, "java.lang.Throwable")) {
            faults.add(
                    fault(
                            fails.type().at(),
                            name,
                            fails.type().text() + " is no exception, so nothing can fail with it.",
                            List.of()));
            return;
        }
        boolean allowed =
                is(thrown, "java.lang.RuntimeException")
                        || is(thrown, "java.lang.Error")
                        || method.thrown().stream().anyMatch(declared -> is(thrown, declared));
        if (!allowed) {
            faults.add(
                    fault(
                            fails.type().at(),
                            name,
                            name
                                    + " does not declare "
                                    + fails.type().text()
                                    + ", so it can never throw it.",
                            method.thrown().stream().map(names::shortName).toList()));
        }
    }

    private boolean is(ClassType type, String supertype) {
        return code.find(supertype).isPresent()
                && generics.seenAs(type, supertype).type().isPresent();
    }

    private AnswerFault unfit(Problem problem, String name, String does, TypeRef type) {
        return new AnswerFault(
                problem.at(),
                name,
                problem.unset().isEmpty()
                        ? name + " " + does + ", and " + problem.shown() + " is none."
                        : name
                                + ": the setting "
                                + String.join(", ", problem.unset())
                                + " is not set.",
                List.of(problem.unset().isEmpty() ? problem.wanted() : type.text(names::shortName)),
                problem.unset());
    }

    private static AnswerFault fault(
            SourcePosition at, String method, String message, List<String> known) {
        return new AnswerFault(at, method, message, known, List.of());
    }
}
