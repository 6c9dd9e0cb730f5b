package dev.patientharbor.types;

import dev.patientharbor.terms.TypeRef.ClassType;
import java.util.Optional;
import java.util.Set;

/**
 * Whether a class fits a contract.
 *
 * @param type the class with the type arguments that the contract gives it, if it fits
 * @param reversed whether the two would fit the other way round
 * @param missing supertypes of the class whose class files are not there
 */
public record FitResult(Optional<ClassType> type, boolean reversed, Set<String> missing) {
    public FitResult {
        missing = Set.copyOf(missing);
    }

    public boolean fits() {
        return type.isPresent();
    }
}
