package dev.patientharbor.types;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The methods that an object of a contract has, inherited ones included. */
public final class ContractMethods {

    private static final String OBJECT = "java.lang.Object";

    private final CodeIndex code;
    private final GenericTypes generics;

    public ContractMethods(CodeIndex code, GenericTypes generics) {
        this.code = code;
        this.generics = generics;
    }

    /** A method, its types as they are in the contract. */
    public record Method(
            String name, List<TypeRef> parameters, TypeRef returns, List<String> thrown) {
        /** Returns the erased types, which an overriding method shares. */
        private String key() {
            return name
                    + parameters.stream()
                            .map(type -> type instanceof ClassType one ? one.name() : type.text())
                            .toList();
        }
    }

    /**
     * The methods that a stub could answer, nearest first.
     *
     * @param whole whether all of them are known: false if a supertype is not on the code path, or
     *     is a class of which only marked methods were read
     */
    public record Methods(List<Method> all, boolean whole) {}

    public Methods of(ClassType contract) {
        Map<String, Method> byKey = new HashMap<>();
        List<Method> all = new ArrayList<>();
        Set<String> seen = new HashSet<>(Set.of(contract.name()));
        List<ClassType> open = new ArrayList<>(List.of(contract));
        boolean whole = true;
        for (int i = 0; i < open.size(); i++) {
            ClassType type = open.get(i);
            ClassFacts facts = code.find(type.name()).orElse(null);
            if (facts == null) {
                whole = false;
                continue;
            }
            boolean read = i == 0 || facts.isInterface() || facts.isAbstract();
            whole &= read;
            Map<String, TypeRef> variables = GenericTypes.variables(facts, type);
            for (ExecutableFacts method : facts.methods()) {
                if (!method.isPrivate() && !Modifier.isStatic(method.access())) {
                    Method one = bound(method, variables);
                    if (byKey.putIfAbsent(one.key(), one) == null) {
                        all.add(one);
                    }
                }
            }
            for (ClassType parent : generics.parents(facts, type)) {
                if (!parent.name().equals(OBJECT) && seen.add(parent.name())) {
                    open.add(parent);
                }
            }
        }
        return new Methods(all, whole);
    }

    private static Method bound(ExecutableFacts method, Map<String, TypeRef> variables) {
        return new Method(
                method.name(),
                method.parameterTypes().stream().map(type -> type.bind(variables)).toList(),
                method.returnType().bind(variables),
                method.thrown());
    }
}
