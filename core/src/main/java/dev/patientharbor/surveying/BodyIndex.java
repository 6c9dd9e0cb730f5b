package dev.patientharbor.surveying;

import dev.patientharbor.bodies.ClassBodies;
import dev.patientharbor.bodies.MemberUse;
import dev.patientharbor.bodies.MethodBody;
import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** The bodies of the code by method, each class read when it is asked for. For one thread. */
final class BodyIndex {

    private static final String START = "<clinit>";

    private final CodeIndex code;
    private final Map<String, String> binaryNames = new ConcurrentHashMap<>();
    private final Map<String, Optional<ClassBodies>> read = new HashMap<>();
    private final Map<MethodName, MethodBody> bodies = new HashMap<>();
    private final Map<String, Set<String>> needs = new HashMap<>();

    BodyIndex(CodeIndex code) {
        this.code = code;
    }

    /** Returns the bodies of a class; empty if it cannot be read. */
    Optional<ClassBodies> classBodies(String name) {
        Optional<ClassBodies> known = read.get(name);
        if (known == null) {
            known = read(name);
            keep(name, known);
        }
        return known;
    }

    private Optional<ClassBodies> read(String name) {
        try {
            return code.classFile(name).map(file -> ClassBodies.read(file, this::binaryName));
        } catch (RuntimeException damaged) {
            // The bytecode library reports damage by whatever exception its parsing runs into.
            return Optional.empty();
        }
    }

    /** One text for each name, however often it is met. */
    private String binaryName(String internalName) {
        return binaryNames.computeIfAbsent(internalName, name -> name.replace('/', '.'));
    }

    /** Reads the bodies of many classes with all processors. */
    void readAll(Collection<String> names) {
        List<Optional<ClassBodies>> all = names.parallelStream().map(this::read).toList();
        int i = 0;
        for (String name : names) {
            keep(name, all.get(i++));
        }
    }

    private void keep(String name, Optional<ClassBodies> found) {
        read.put(name, found);
        found.ifPresent(all -> all.methods().forEach(body -> bodies.put(body.name(), body)));
    }

    /** Returns the body of a method, if its class has one. */
    Optional<MethodBody> body(MethodName method) {
        classBodies(method.owner());
        return Optional.ofNullable(bodies.get(method));
    }

    /** Returns the name of the source file of a class, if it is known. */
    Optional<String> source(String name) {
        return classBodies(name).flatMap(ClassBodies::source);
    }

    /**
     * Returns the methods that run when an object of a class is made and used: its own, and those
     * that it inherits from classes of the code.
     */
    List<MethodName> methodsOf(String name) {
        List<MethodName> found = new ArrayList<>();
        Set<String> overridden = new HashSet<>();
        for (String each = name; !each.isEmpty() && code.inCode(each); each = parent(each)) {
            for (MethodBody body : classBodies(each).map(ClassBodies::methods).orElse(List.of())) {
                MethodName method = body.name();
                boolean isOwn = method.isConstructor() || method.name().equals(START);
                if (isOwn || overridden.add(method.name() + method.descriptor())) {
                    found.add(method);
                }
            }
        }
        return found;
    }

    private String parent(String name) {
        return code.find(name).flatMap(ClassFacts::superName).orElse("");
    }

    /**
     * Returns what runs when a method is called: its body, in its class or in one that it inherits
     * from, and the static initializer of a class that is first used so. None for a contract's.
     */
    List<MethodName> run(MemberUse call) {
        List<MethodName> found = new ArrayList<>(2);
        inherited(call.method()).ifPresent(found::add);
        MethodName start = new MethodName(call.method().owner(), START, "()V");
        if ((call.isStatic() || call.method().isConstructor()) && body(start).isPresent()) {
            found.add(start);
        }
        return found;
    }

    private Optional<MethodName> inherited(MethodName method) {
        Set<String> seen = new LinkedHashSet<>(Set.of(method.owner()));
        List<String> open = new ArrayList<>(seen);
        for (int i = 0; i < open.size(); i++) {
            MethodName here = new MethodName(open.get(i), method.name(), method.descriptor());
            if (code.inCode(open.get(i)) && body(here).isPresent()) {
                return Optional.of(here);
            }
            Optional<ClassFacts> facts =
                    code.inCode(open.get(i)) ? code.find(open.get(i)) : Optional.empty();
            List<String> parents = new ArrayList<>();
            facts.flatMap(ClassFacts::superName).ifPresent(parents::add);
            facts.ifPresent(found -> parents.addAll(found.interfaces()));
            parents.stream().filter(seen::add).forEach(open::add);
        }
        return Optional.empty();
    }

    /** Returns the classes of the code of which some classes make objects. */
    List<String> made(Collection<String> names) {
        return names.stream()
                .map(this::classBodies)
                .flatMap(Optional::stream)
                .flatMap(bodies -> bodies.made().stream())
                .sorted()
                .filter(code::inCode)
                .distinct()
                .toList();
    }

    /** Returns whether a method of the code is native. */
    boolean isNative(MethodName method) {
        return classBodies(method.owner())
                .filter(bodies -> bodies.natives().contains(method))
                .isPresent();
    }

    /** Returns the types that the constructors of a class ask for, by erased name. */
    Set<String> needs(String name) {
        return needs.computeIfAbsent(
                name,
                key -> {
                    Set<String> types = new HashSet<>();
                    code.find(name)
                            .ifPresent(
                                    facts ->
                                            facts.constructors()
                                                    .forEach(
                                                            made ->
                                                                    types.addAll(
                                                                            made
                                                                                    .erasedParameterTypes())));
                    return types;
                });
    }
}
