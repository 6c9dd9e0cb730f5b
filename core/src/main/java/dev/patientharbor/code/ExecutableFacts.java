package dev.patientharbor.code;

import dev.patientharbor.terms.TypeRef;
import java.lang.reflect.Modifier;
import java.util.List;
import java.util.Optional;

/**
 * A constructor or a method.
 *
 * @param name its name; {@code <init>} for a constructor
 * @param access its modifiers, as {@link Modifier} reads them
 * @param descriptor its erased parameter and return types, as in JVMS 4.3.3
 * @param signature its generic types, as in JVMS 4.7.9.1
 * @param parameterNames one for each parameter, blank where the class file does not tell, or none
 *     if it tells none
 * @param annotations the marks on it
 * @param parameterAnnotations the marks on each parameter, or empty if no parameter has any
 * @param thrown the binary names of the exceptions that it declares
 */
public record ExecutableFacts(
        String name,
        int access,
        String descriptor,
        Optional<String> signature,
        List<String> parameterNames,
        List<AnnotationFacts> annotations,
        List<List<AnnotationFacts>> parameterAnnotations,
        List<String> thrown) {

    /** The generic types of the parameters, one for each parameter of the descriptor. */
    public List<TypeRef> parameterTypes() {
        return TypeSignatures.parameters(descriptor, signature);
    }

    /** The generic type that is returned. */
    public TypeRef returnType() {
        return TypeSignatures.returned(descriptor, signature);
    }

    /** The names of its own type parameters, in order. */
    public List<String> typeParameters() {
        return TypeSignatures.typeParameters(signature);
    }

    /** The first bound of each of its own type parameters, in order. */
    public List<TypeRef> bounds() {
        return TypeSignatures.bounds(signature);
    }

    /** All bounds of each of its own type parameters, in order. */
    public List<List<TypeRef>> allBounds() {
        return TypeSignatures.allBounds(signature);
    }

    /** The erased parameter types as people write them, {@code p.A,int[]}. */
    public List<String> erasedParameterTypes() {
        return TypeSignatures.parameters(descriptor, Optional.empty()).stream()
                .map(TypeRef::text)
                .toList();
    }

    /** Returns the name of a parameter, or {@code argN} with N from 0. */
    public String parameterName(int index) {
        return index < parameterNames.size() && !parameterNames.get(index).isEmpty()
                ? parameterNames.get(index)
                : "arg" + index;
    }

    /** The marks on a parameter. */
    public List<AnnotationFacts> parameterAnnotations(int index) {
        return index < parameterAnnotations.size() ? parameterAnnotations.get(index) : List.of();
    }

    /** The part that an overriding method shares: name and erased parameter types. */
    public String overrideKey() {
        return name + descriptor.substring(0, descriptor.indexOf(')') + 1);
    }

    public boolean isPrivate() {
        return Modifier.isPrivate(access);
    }
}
