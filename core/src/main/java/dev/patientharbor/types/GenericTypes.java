package dev.patientharbor.types;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ArrayType;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.terms.TypeRef.Variable;
import dev.patientharbor.terms.TypeRef.Wildcard;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Answers questions about generic types from facts alone. */
public final class GenericTypes {

    private static final String OBJECT = "java.lang.Object";

    private final CodeIndex code;

    public GenericTypes(CodeIndex code) {
        this.code = code;
    }

    /**
     * A class type seen as one of its supertypes.
     *
     * @param type the supertype with its arguments; empty if it is none of the known supertypes
     * @param missing supertypes whose class files are not there, so that more cannot be known
     */
    public record SeenAs(Optional<ClassType> type, Set<String> missing) {}

    /** Sees a type as a supertype of that name, itself included (JLS 4.10.2). */
    public SeenAs seenAs(ClassType type, String supertype) {
        List<ClassType> open = new ArrayList<>(List.of(type));
        Set<String> seen = new HashSet<>();
        Set<String> missing = new HashSet<>();
        for (int i = 0; i < open.size(); i++) {
            ClassType next = open.get(i);
            if (next.name().equals(supertype)) {
                return new SeenAs(Optional.of(next), Set.of());
            }
            if (next.name().equals(OBJECT)) {
                continue;
            }
            Optional<ClassFacts> facts = code.find(next.name());
            if (facts.isEmpty()) {
                missing.add(next.name());
                continue;
            }
            for (ClassType parent : parents(facts.get(), next)) {
                if (seen.add(parent.name())) {
                    open.add(parent);
                }
            }
        }
        boolean everythingIsAnObject = supertype.equals(OBJECT);
        return new SeenAs(
                everythingIsAnObject ? Optional.of(TypeRef.of(supertype)) : Optional.empty(),
                missing);
    }

    /**
     * The supertypes of a class, its type parameters replaced by the arguments of the given type.
     */
    public List<ClassType> parents(ClassFacts facts, ClassType type) {
        Map<String, TypeRef> variables = variables(facts, type);
        if (variables.isEmpty()) {
            return facts.supertypes();
        }
        return facts.supertypes().stream()
                .map(
                        parent ->
                                TypeSize.isModest(parent, variables)
                                        ? (ClassType) parent.bind(variables)
                                        : parent.raw())
                .toList();
    }

    /**
     * What each type parameter of a class stands for in a type of that class; nothing for a raw
     * type.
     */
    public static Map<String, TypeRef> variables(ClassFacts facts, ClassType type) {
        if (type.arguments().isEmpty()) {
            return Map.of();
        }
        List<String> parameters = facts.typeParameters();
        Map<String, TypeRef> variables = new HashMap<>();
        for (int i = 0; i < Math.min(parameters.size(), type.arguments().size()); i++) {
            variables.put(parameters.get(i), type.arguments().get(i));
        }
        return variables;
    }

    /**
     * Finds what the variables of a pattern must be for it to be the given type; returns false if
     * it cannot be.
     */
    public static boolean unify(TypeRef pattern, TypeRef type, Map<String, TypeRef> variables) {
        if (pattern instanceof Variable variable) {
            TypeRef known = variables.putIfAbsent(variable.name(), type);
            return known == null || known.equals(type);
        }
        if (pattern instanceof ArrayType array && type instanceof ArrayType other) {
            return unify(array.element(), other.element(), variables);
        }
        if (pattern instanceof ClassType one && type instanceof ClassType other) {
            if (!one.name().equals(other.name())) {
                return false;
            }
            if (one.arguments().size() != other.arguments().size()) {
                return one.arguments().isEmpty() || other.arguments().isEmpty();
            }
            for (int i = 0; i < one.arguments().size(); i++) {
                if (!unify(one.arguments().get(i), other.arguments().get(i), variables)) {
                    return false;
                }
            }
            return true;
        }
        return pattern.equals(type);
    }

    /**
     * Whether a definite type is one that an open type (raw, or with wildcards or variables)
     * allows.
     */
    public boolean allows(TypeRef open, TypeRef definite) {
        if (open instanceof ClassType one && definite instanceof ClassType other) {
            if (!one.name().equals(other.name())) {
                return false;
            }
            if (one.arguments().isEmpty() || one.arguments().size() != other.arguments().size()) {
                return one.arguments().isEmpty();
            }
            for (int i = 0; i < one.arguments().size(); i++) {
                if (!allowsArgument(one.arguments().get(i), other.arguments().get(i))) {
                    return false;
                }
            }
            return true;
        }
        return open.equals(definite);
    }

    private boolean allowsArgument(TypeRef open, TypeRef definite) {
        if (open instanceof Variable) {
            return true;
        }
        if (open instanceof Wildcard wildcard) {
            return wildcard.bound().isEmpty()
                    || (wildcard.word().equals("extends")
                            ? isSubtype(definite, wildcard.bound().get())
                            : isSubtype(wildcard.bound().get(), definite));
        }
        return allows(open, definite)
                && (!(open instanceof ClassType type)
                        || !type.arguments().isEmpty()
                        || open.equals(definite));
    }

    private boolean isSubtype(TypeRef type, TypeRef supertype) {
        return type instanceof ClassType one && supertype instanceof ClassType other
                ? seenAs(one, other.name())
                        .type()
                        .filter(seen -> other.isExact() ? allows(other, seen) : true)
                        .isPresent()
                : type.equals(supertype);
    }
}
