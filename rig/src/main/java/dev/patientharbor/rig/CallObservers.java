package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.assembly.DecoratorLayer;
import dev.patientharbor.behaviours.CallRecord.EnteredCall;
import dev.patientharbor.behaviours.CallRecord.Place;
import dev.patientharbor.terms.Slot;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Who sees the calls of the objects of a slot: spies, and in the core a mock or a stub with canned
 * answers. What is inside of another sees the same call again.
 */
final class CallObservers {

    /** By each watch, those inside of it. */
    private final Map<Place, Set<Place>> inside = new HashMap<>();

    /**
     * @param parts those of the whole assembly
     * @param slot the slot whose objects they stand around
     */
    CallObservers(List<AssemblyPart> parts, Slot slot) {
        for (AssemblyPart part : parts) {
            if (part.made().isPresent() && part.slot().equals(slot)) {
                AssemblyPart.Made made = part.made().get();
                List<Place> all = new ArrayList<>(of(made));
                made.making()
                        .sameCoreAs()
                        .flatMap(other -> parts.get(other).made())
                        .ifPresent(other -> core(other, all));
                for (int i = 0; i < all.size(); i++) {
                    inside.computeIfAbsent(all.get(i), place -> new HashSet<>())
                            .addAll(all.subList(i + 1, all.size()));
                }
            }
        }
    }

    /** The watches of a part, the outermost first, but for a core that it has from another. */
    static List<Place> of(AssemblyPart.Made made) {
        List<Place> all = new ArrayList<>();
        for (int i = 0; i < made.layers().size(); i++) {
            DecoratorLayer layer = made.layers().get(i);
            boolean watches =
                    switch (layer.form()) {
                        case OF_CLASS -> false;
                        case OF_OURS ->
                                ((DecoratorLayer.OfBuiltIn) layer)
                                        .builtIn()
                                        .match(delay -> false, fail -> false, spy -> true);
                    };
            if (watches) {
                all.add(place(made, i));
            }
        }
        core(made, all);
        return all;
    }

    private static void core(AssemblyPart.Made made, List<Place> to) {
        if (made.making().isFromContract()) {
            to.add(place(made, made.layers().size()));
        }
    }

    private static Place place(AssemblyPart.Made made, int layer) {
        return new Place(made.slot(), made.seat().within().orElse(""), layer);
    }

    /** Whether nobody sees a call of the slot. */
    boolean isEmpty() {
        return inside.isEmpty();
    }

    /** Whether a call of the slot was seen before by a watch outside of this one. */
    boolean sawBefore(EnteredCall call) {
        return call.outer()
                .filter(outer -> insideOf(outer.place()).contains(call.place()))
                .isPresent();
    }

    /** Whether no watch inside of this one sees the calls of the slot that it passes on. */
    boolean isInnermost(EnteredCall call) {
        return insideOf(call.place()).isEmpty();
    }

    private Set<Place> insideOf(Place place) {
        return inside.getOrDefault(place, Set.of());
    }
}
