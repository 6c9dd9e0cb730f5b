package dev.patientharbor.check;

import dev.patientharbor.resolve.ResolvedBinding;
import dev.patientharbor.resolve.ResolvedDecoration;
import dev.patientharbor.resolve.ResolvedDecorator;
import dev.patientharbor.resolve.ResolvedProfile;

/** Tells whether what one profile says still holds in another. */
final class Inheritance {

    private Inheritance() {}

    /**
     * Whether a binding fills its slot in a profile; one of an unknown contract holds wherever it
     * is inherited.
     */
    static boolean holdsFor(ResolvedBinding binding, ResolvedProfile profile) {
        return binding.slot()
                .map(slot -> profile.binding(slot).filter(one -> one == binding).isPresent())
                .orElseGet(() -> profile.isOrExtends(binding.owner()));
    }

    /**
     * Whether a decorator is in the list that holds for a profile; one of an unknown contract
     * wherever it is inherited.
     */
    static boolean holdsFor(
            ResolvedDecoration decoration, ResolvedDecorator decorator, ResolvedProfile profile) {
        boolean dropped = decoration.drop().contains(decorator);
        return decoration.slot().isPresent() && !dropped
                ? profile.decorators(decoration.slot().get()).stream()
                        .anyMatch(one -> one == decorator)
                : profile.isOrExtends(decoration.owner());
    }
}
