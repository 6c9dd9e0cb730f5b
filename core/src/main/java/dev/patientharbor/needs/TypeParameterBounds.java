package dev.patientharbor.needs;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.Variable;
import dev.patientharbor.terms.TypeRef.Wildcard;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Finds what type parameters stand for where nobody says it: whatever their bounds allow. */
final class TypeParameterBounds {

    private static final TypeRef OBJECT = TypeRef.of("java.lang.Object");
    private static final Wildcard ANY = new Wildcard("", Optional.empty());

    private TypeParameterBounds() {}

    /** Returns the bounds of the type parameters of a class, by name. */
    static Map<String, TypeRef> of(ClassFacts facts) {
        return of(facts.typeParameters(), facts.bounds());
    }

    /**
     * Returns the bounds of the type parameters that a constructor or a method has itself, by name.
     */
    static Map<String, TypeRef> of(ExecutableFacts facts) {
        return facts.signature().filter(text -> text.startsWith("<")).isPresent()
                ? of(facts.typeParameters(), facts.bounds())
                : Map.of();
    }

    /**
     * Returns the bounds of the type parameters of the classes around a class, by name; where two
     * have one name, the nearest class wins.
     */
    static Map<String, TypeRef> around(ClassFacts facts, CodeIndex code) {
        Map<String, TypeRef> all = new HashMap<>();
        String name = facts.name();
        for (int at = name.lastIndexOf('$'); at > 0; at = name.lastIndexOf('$', at - 1)) {
            code.find(name.substring(0, at))
                    .ifPresent(outer -> of(outer).forEach(all::putIfAbsent));
        }
        return all;
    }

    private static Map<String, TypeRef> of(List<String> names, List<TypeRef> bounds) {
        Map<String, TypeRef> byName = new HashMap<>();
        Map<String, TypeRef> any = new HashMap<>();
        for (int i = 0; i < names.size(); i++) {
            byName.put(names.get(i), bounds.get(i));
            any.put(names.get(i), ANY);
        }
        Map<String, TypeRef> unsaid = new HashMap<>();
        for (String name : names) {
            TypeRef bound = byName.get(name);
            // The variable of a class around has no bound here: it stays, and is bound later.
            for (int i = 0; i < names.size() && bound instanceof Variable other; i++) {
                bound = byName.getOrDefault(other.name(), bound);
            }
            unsaid.put(
                    name,
                    bound.equals(OBJECT)
                            ? ANY
                            : new Wildcard("extends", Optional.of(bound.bind(any))));
        }
        return unsaid;
    }
}
