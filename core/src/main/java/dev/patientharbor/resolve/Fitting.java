package dev.patientharbor.resolve;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.model.TypeRef;
import dev.patientharbor.model.TypeRef.ClassType;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Decides whether a class fits a contract, type arguments included. */
final class Fitting {

    private final Generics generics;

    Fitting(Generics generics) {
        this.generics = generics;
    }

    Fit fit(ClassFacts implementation, TypeRef contract) {
        if (!(contract instanceof ClassType wanted)) {
            return new Fit(Optional.empty(), false, Set.of());
        }
        ClassType own = implementation.asType();
        Generics.SeenAs seen = generics.seenAs(own, wanted.name());
        if (seen.type().isEmpty()) {
            boolean reversed =
                    generics.seenAs(wanted.raw(), implementation.name()).type().isPresent();
            return new Fit(Optional.empty(), reversed, seen.missing());
        }
        Map<String, TypeRef> variables = new HashMap<>();
        boolean fits =
                wanted.arguments().isEmpty()
                        || Generics.unify(seen.type().get(), wanted, variables);
        return fits
                ? new Fit(Optional.of(withKnown(own, variables)), false, Set.of())
                : new Fit(Optional.empty(), false, Set.of());
    }

    private static ClassType withKnown(ClassType own, Map<String, TypeRef> variables) {
        List<TypeRef> arguments = own.arguments();
        return arguments.isEmpty()
                        || !variables
                                .keySet()
                                .containsAll(arguments.stream().map(TypeRef::text).toList())
                ? own.raw()
                : (ClassType) own.bind(variables);
    }
}
