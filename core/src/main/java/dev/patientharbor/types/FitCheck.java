package dev.patientharbor.types;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Decides whether a class fits a contract, type arguments included. */
public final class FitCheck {

    private final GenericTypes generics;

    public FitCheck(GenericTypes generics) {
        this.generics = generics;
    }

    public FitResult fit(ClassFacts implementation, TypeRef contract) {
        return fit(implementation.asType(), contract);
    }

    /** Whether a type fits; its own type variables may become whatever the contract asks for. */
    public FitResult fit(ClassType own, TypeRef contract) {
        if (!(contract instanceof ClassType wanted)) {
            return new FitResult(Optional.empty(), false, Set.of());
        }
        GenericTypes.SeenAs seen = generics.seenAs(own, wanted.name());
        if (seen.type().isEmpty()) {
            boolean reversed = generics.seenAs(wanted.raw(), own.name()).type().isPresent();
            return new FitResult(Optional.empty(), reversed, seen.missing());
        }
        Map<String, TypeRef> variables = new HashMap<>();
        boolean exactly =
                wanted.arguments().isEmpty()
                        || GenericTypes.unify(seen.type().get(), wanted, variables);
        if (!exactly) {
            variables.clear();
        }
        boolean fits = exactly || !wanted.isExact() && generics.allows(wanted, seen.type().get());
        return fits
                ? new FitResult(Optional.of(withKnown(own, variables)), false, Set.of())
                : new FitResult(Optional.empty(), false, Set.of());
    }

    private static ClassType withKnown(ClassType own, Map<String, TypeRef> variables) {
        for (TypeRef argument : own.arguments()) {
            if (!argument.isExact() && !variables.containsKey(argument.text())) {
                return own.raw();
            }
        }
        return (ClassType) own.bind(variables);
    }
}
