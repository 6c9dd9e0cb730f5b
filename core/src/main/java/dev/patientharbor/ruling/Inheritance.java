package dev.patientharbor.ruling;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecoration;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.inherited.ResolvedProfile;

/** Tells whether what one profile says still holds in another. */
public final class Inheritance {

    private Inheritance() {}

    /**
     * Whether a binding fills its slot in a profile; one of an unknown contract holds wherever it
     * is inherited.
     */
    public static boolean holdsFor(ResolvedBinding binding, ResolvedProfile profile) {
        return binding.slot()
                .map(slot -> profile.binding(slot).filter(one -> one == binding).isPresent())
                .orElseGet(() -> profile.isOrExtends(binding.owner()));
    }

    /**
     * Whether a decorator is in the list that holds for a profile; one of an unknown contract
     * wherever it is inherited.
     */
    public static boolean holdsFor(
            ResolvedDecoration decoration, ResolvedDecorator decorator, ResolvedProfile profile) {
        boolean dropped = decoration.drop().contains(decorator);
        return decoration.slot().isPresent() && !dropped
                ? profile.decorators(decoration.slot().get()).stream()
                        .anyMatch(one -> one == decorator)
                : profile.isOrExtends(decoration.owner());
    }
}
