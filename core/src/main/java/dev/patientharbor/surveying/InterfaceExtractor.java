package dev.patientharbor.surveying;

import dev.patientharbor.bodies.ClassBodies;
import dev.patientharbor.bodies.MemberUse;
import dev.patientharbor.bodies.MethodBody;
import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.bodies.NestBodies;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.survey.ExtractableInterface;
import dev.patientharbor.terms.TypeRef;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.StringJoiner;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Writes for classes the interfaces that those who use them need. For one thread. */
final class InterfaceExtractor {

    private static final String OBJECT = "java.lang.Object";

    private final CodeIndex code;

    /** The methods of each class that other classes call, as name and erased types. */
    private final Map<String, Set<String>> used = new HashMap<>();

    InterfaceExtractor(CodeIndex code) {
        this.code = code;
    }

    /** Notes what a class calls on objects of other classes. */
    void add(ClassBodies bodies) {
        for (MethodBody body : bodies.methods()) {
            for (MemberUse call : body.calls()) {
                add(bodies.name(), call);
            }
        }
    }

    private void add(String user, MemberUse call) {
        MethodName method = call.method();
        boolean isOwn = NestBodies.outermost(user).equals(NestBodies.outermost(method.owner()));
        if (call.isVirtual() && !isOwn && code.inCode(method.owner())) {
            used.computeIfAbsent(method.owner(), key -> new TreeSet<>())
                    .add(method.name() + method.descriptor());
        }
    }

    /** Returns the interface of a class; empty if nobody else calls a method of it. */
    Optional<ExtractableInterface> of(String className) {
        Set<String> wanted = used.getOrDefault(className, Set.of());
        Optional<ClassFacts> facts = code.find(className);
        if (wanted.isEmpty() || facts.isEmpty()) {
            return Optional.empty();
        }
        List<ExecutableFacts> methods = methods(className, wanted);
        String simple = className.substring(className.lastIndexOf('.') + 1).replace("$", "");
        String name = simple + "Contract";
        return methods.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        new ExtractableInterface(
                                className,
                                name,
                                methods.stream().map(InterfaceExtractor::member).toList(),
                                source(facts.get(), name, methods)));
    }

    /** The wanted methods that anybody can call, of the class and those that it extends. */
    private List<ExecutableFacts> methods(String className, Set<String> wanted) {
        List<ExecutableFacts> found = new ArrayList<>();
        Set<String> left = new TreeSet<>(wanted);
        String each = className;
        while (!each.equals(OBJECT) && code.inCode(each)) {
            for (ExecutableFacts method : code.methodsOf(each)) {
                if (Modifier.isPublic(method.access())
                        && left.remove(method.name() + method.descriptor())) {
                    found.add(method);
                }
            }
            each = code.find(each).flatMap(ClassFacts::superName).orElse(OBJECT);
        }
        return found;
    }

    private static String member(ExecutableFacts method) {
        return method.name()
                + method.erasedParameterTypes().stream()
                        .map(InterfaceExtractor::inSource)
                        .collect(Collectors.joining(", ", "(", ")"));
    }

    private static String source(ClassFacts facts, String name, List<ExecutableFacts> methods) {
        StringBuilder text = new StringBuilder();
        if (!facts.packageName().isEmpty()) {
            text.append("package ").append(facts.packageName()).append(";\n\n");
        }
        text.append(Modifier.isPublic(facts.access()) ? "public " : "")
                .append("interface ")
                .append(name)
                .append(parameters(facts.typeParameters(), facts.allBounds()))
                .append(" {\n");
        methods.forEach(method -> text.append(source(method)));
        return text.append("}\n").toString();
    }

    private static String source(ExecutableFacts method) {
        List<TypeRef> types = method.parameterTypes();
        StringBuilder text = new StringBuilder("\n    ");
        String own = parameters(method.typeParameters(), method.allBounds());
        text.append(own.isEmpty() ? "" : own + ' ')
                .append(inSource(method.returnType().text()))
                .append(' ')
                .append(method.name())
                .append(
                        IntStream.range(0, types.size())
                                .mapToObj(
                                        i ->
                                                inSource(types.get(i).text())
                                                        + ' '
                                                        + method.parameterName(i))
                                .collect(Collectors.joining(", ", "(", ")")));
        if (!method.thrown().isEmpty()) {
            text.append(" throws ")
                    .append(
                            method.thrown().stream()
                                    .map(InterfaceExtractor::inSource)
                                    .collect(Collectors.joining(", ")));
        }
        return text.append(";\n").toString();
    }

    private static String parameters(List<String> names, List<List<TypeRef>> bounds) {
        if (names.isEmpty()) {
            return "";
        }
        StringJoiner all = new StringJoiner(", ", "<", ">");
        for (int i = 0; i < names.size(); i++) {
            String bound =
                    bounds.get(i).stream()
                            .map(type -> inSource(type.text()))
                            .filter(type -> !type.equals(OBJECT))
                            .collect(Collectors.joining(" & "));
            all.add(names.get(i) + (bound.isEmpty() ? "" : " extends " + bound));
        }
        return all.toString();
    }

    private static String inSource(String type) {
        return type.replace('$', '.');
    }
}
