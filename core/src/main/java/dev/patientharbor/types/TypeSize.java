package dev.patientharbor.types;

import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ArrayType;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.terms.TypeRef.Variable;
import dev.patientharbor.terms.TypeRef.Wildcard;
import java.util.Map;

/**
 * Measures how large types grow when variables are replaced. Where each supertype names its
 * variable twice, the size doubles with every step, and nothing could hold the type; it is seen
 * without arguments then.
 */
final class TypeSize {

    /** The most names in one type; people write a dozen. */
    private static final int LARGEST = 1_000;

    private TypeSize() {}

    /** Whether a type stays of a size that can be held once its variables are replaced. */
    static boolean isModest(TypeRef type, Map<String, TypeRef> variables) {
        return size(type, variables, 0) <= LARGEST;
    }

    /**
     * Returns what was counted before and the size of this type; no more is counted once it is too
     * large.
     */
    private static int size(TypeRef type, Map<String, TypeRef> variables, int before) {
        int size = before + 1;
        if (size > LARGEST) {
            return size;
        }
        if (type instanceof ClassType named) {
            for (TypeRef argument : named.arguments()) {
                size = size(argument, variables, size);
            }
        } else if (type instanceof ArrayType array) {
            size = size(array.element(), variables, size);
        } else if (type instanceof Wildcard wildcard && wildcard.bound().isPresent()) {
            size = size(wildcard.bound().get(), variables, size);
        } else if (type instanceof Variable variable && variables.containsKey(variable.name())) {
            size = size(variables.get(variable.name()), Map.of(), size);
        }
        return size;
    }
}
