package dev.patientharbor.types;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Finds methods of contracts that implementations lack, which were compiled against another version
 * of the contract.
 */
public final class MissingMethods {

    private static final String OBJECT = "java.lang.Object";

    private final CodeIndex code;

    public MissingMethods(CodeIndex code) {
        this.code = code;
    }

    /**
     * The abstract methods of a contract for which an object of a class has no body, as name and
     * erased types, sorted. None if a supertype of the class is not on the code path: what that has
     * is not known.
     */
    public List<String> of(ClassFacts implementation, String contract) {
        List<String> open = new ArrayList<>(0);
        boolean isItself = implementation.name().equals(contract) && isAlone(implementation);
        for (String method : isItself ? implementation.openMethods() : abstractMethods(contract)) {
            if (!implementation.closedMethods().has(method)) {
                open.add(method);
            }
        }
        open.sort(Comparator.naturalOrder());
        return open.isEmpty() ? open : notInherited(open, implementation.name());
    }

    private List<String> notInherited(List<String> open, String name) {
        Optional<Map<String, ClassFacts>> own = supertypes(name);
        if (own.isEmpty()) {
            return List.of();
        }
        return open.stream()
                .filter(
                        method ->
                                own.get().values().stream()
                                        .noneMatch(type -> type.closedMethods().has(method)))
                .toList();
    }

    /** The abstract methods of a contract and of what it extends, as far as these are known. */
    public Set<String> abstractMethods(String contract) {
        Optional<ClassFacts> own = code.find(contract);
        if (own.isEmpty() || isAlone(own.get())) {
            return own.map(ClassFacts::openMethods).orElse(Set.of());
        }
        Set<String> methods = new LinkedHashSet<>();
        List<String> open = new ArrayList<>(List.of(contract));
        Set<String> seen = new LinkedHashSet<>(List.of(contract, OBJECT));
        for (int i = 0; i < open.size(); i++) {
            Optional<ClassFacts> facts = code.find(open.get(i));
            if (facts.isEmpty()) {
                continue;
            }
            methods.addAll(facts.get().openMethods());
            for (String parent : parents(facts.get())) {
                if (seen.add(parent)) {
                    open.add(parent);
                }
            }
        }
        return methods;
    }

    private static boolean isAlone(ClassFacts facts) {
        return facts.interfaces().isEmpty() && facts.superName().filter(OBJECT::equals).isPresent();
    }

    /** Returns a class with all its supertypes; empty if one of them is not known. */
    private Optional<Map<String, ClassFacts>> supertypes(String name) {
        Map<String, ClassFacts> found = new LinkedHashMap<>();
        List<String> open = new ArrayList<>(List.of(name));
        for (int i = 0; i < open.size(); i++) {
            Optional<ClassFacts> facts = code.find(open.get(i));
            if (facts.isEmpty()) {
                return Optional.empty();
            }
            if (found.put(open.get(i), facts.get()) == null) {
                open.addAll(parents(facts.get()));
            }
        }
        return Optional.of(found);
    }

    private static List<String> parents(ClassFacts facts) {
        List<String> parents = new ArrayList<>(facts.interfaces());
        facts.superName().ifPresent(parents::add);
        return parents;
    }
}
