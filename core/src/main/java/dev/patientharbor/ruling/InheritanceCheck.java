package dev.patientharbor.ruling;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.declared.ResolvedDecoratorStatement;
import dev.patientharbor.inherited.ResolvedProfile;

/** Tells whether what one profile says still holds in another. */
public final class InheritanceCheck {

    private InheritanceCheck() {}

    /**
     * Whether a binding fills its slot in a profile; one of an unknown contract holds wherever it
     * is inherited.
     */
    public static boolean holdsFor(ResolvedBinding binding, ResolvedProfile profile) {
        return binding.slot()
                .map(slot -> profile.binding(slot).filter(held -> held == binding).isPresent())
                .orElseGet(() -> profile.isOrExtends(binding.owner()));
    }

    /**
     * Whether a decorator is in the list that holds for a profile; one of an unknown contract
     * wherever it is inherited.
     */
    public static boolean holdsFor(
            ResolvedDecoratorStatement statement,
            ResolvedDecorator decorator,
            ResolvedProfile profile) {
        boolean dropped = statement.drop().contains(decorator);
        return statement.slot().isPresent() && !dropped
                ? profile.decorators(statement.slot().get()).stream()
                        .anyMatch(held -> held == decorator)
                : profile.isOrExtends(statement.owner());
    }
}
