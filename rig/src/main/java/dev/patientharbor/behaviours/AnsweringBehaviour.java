package dev.patientharbor.behaviours;

import dev.patientharbor.live.ValueConverter;
import dev.patientharbor.live.ValueType;
import dev.patientharbor.live.VisibleValues;
import dev.patientharbor.model.CannedMethod;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.terms.TypeRef;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;

/**
 * Answers calls with canned answers: the first case that fits the arguments answers. Default
 * methods that were told nothing run, methods that return nothing do nothing, and all else fails
 * and says that no answer was given.
 */
final class AnsweringBehaviour implements Behaviour {

    private final ValueConverter converter;
    private final String slot;
    private final String where;
    private final List<String> told;
    private final Map<Method, List<Case>> cases = new HashMap<>();

    /** One case of one method; several calls may ask it at once. */
    private static final class Case {
        private final Optional<List<Object>> arguments;
        private final CannedMethod.Response response;
        private final ValueType returned;
        private final AtomicInteger asked = new AtomicInteger();

        Case(Optional<List<Object>> arguments, CannedMethod.Response response, ValueType returned) {
            this.arguments = arguments;
            this.response = response;
            this.returned = returned;
        }

        boolean fits(Object[] passed) {
            return arguments.isEmpty() || Arrays.deepEquals(arguments.get().toArray(), passed);
        }
    }

    AnsweringBehaviour(
            Class<?> contract,
            ValueConverter converter,
            TypeRef type,
            String slot,
            String where,
            List<CannedMethod> answers) {
        this.converter = converter;
        this.slot = slot;
        this.where = where;
        told = answers.stream().map(method -> method.method().text()).distinct().toList();
        ValueType seenFrom = converter.type(type);
        for (Method method : contract.getMethods()) {
            if (!Modifier.isStatic(method.getModifiers())) {
                for (CannedMethod one : answers) {
                    if (one.method().text().equals(method.getName())) {
                        add(method, one, seenFrom);
                    }
                }
            }
        }
    }

    private void add(Method method, CannedMethod canned, ValueType seenFrom) {
        for (CannedMethod.Case row : canned.cases()) {
            if (row.given().isEmpty() || row.given().get().size() == method.getParameterCount()) {
                cases.computeIfAbsent(method, key -> new ArrayList<>())
                        .add(
                                new Case(
                                        row.given()
                                                .map(given -> arguments(method, given, seenFrom)),
                                        row.answer(),
                                        seenFrom.ofMember(
                                                method.getDeclaringClass(),
                                                method.getGenericReturnType())));
            }
        }
    }

    private List<Object> arguments(Method method, List<GivenValue> given, ValueType seenFrom) {
        List<Object> arguments = new ArrayList<>();
        for (int i = 0; i < given.size(); i++) {
            arguments.add(
                    converter.object(
                            given.get(i),
                            seenFrom.ofMember(
                                    method.getDeclaringClass(),
                                    method.getGenericParameterTypes()[i])));
        }
        return arguments;
    }

    @Override
    public Object answer(Object self, Method method, Object[] arguments) throws Throwable {
        for (Case one : cases.getOrDefault(method, List.of())) {
            if (one.fits(arguments)) {
                return answer(one);
            }
        }
        if (method.isDefault() && !cases.containsKey(method)) {
            return DefaultMethods.run(self, method, arguments);
        }
        if (method.getReturnType() == void.class && !cases.containsKey(method)) {
            return null;
        }
        throw new UnsupportedOperationException(
                "the stub of "
                        + slot
                        + " ("
                        + where
                        + ") has no answer for "
                        + VisibleValues.call(method.getName(), Arrays.asList(arguments))
                        + "; it answers "
                        + (told.isEmpty() ? "nothing" : String.join(", ", told)));
    }

    private Object answer(Case one) throws Throwable {
        Optional<CannedMethod.Response.Fails> fails = one.response.failure();
        if (fails.isPresent()) {
            throw converter.failure(
                    fails.get().type().text(), fails.get().saying().map(saying -> saying.text()));
        }
        List<GivenValue> answers = one.response.answers();
        int next = one.asked.getAndUpdate(n -> Math.min(n + 1, answers.size() - 1));
        return value(answers.get(next), one.returned);
    }

    private Object value(GivenValue given, ValueType type) {
        Class<?> raw = type.raw();
        if (raw == void.class) {
            return null;
        }
        if (raw == Stream.class) {
            return ((List<?>) converter.object(given, type.content().list())).stream();
        }
        if (raw == CompletionStage.class || raw == CompletableFuture.class || raw == Future.class) {
            return CompletableFuture.completedFuture(value(given, type.content()));
        }
        return converter.object(given, type);
    }
}
