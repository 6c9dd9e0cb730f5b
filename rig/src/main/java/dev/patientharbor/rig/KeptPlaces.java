package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import java.util.List;

/**
 * The places of the objects that a rig keeps: those of which a class has one object come first,
 * then the parts that are made.
 */
final class KeptPlaces {

    private final int end;
    private final int[] byPart;

    /**
     * Numbers the parts that are made.
     *
     * @param parts the parts of the assembly
     * @param first how many places are taken by objects that each class has one of
     */
    KeptPlaces(List<AssemblyPart> parts, int first) {
        byPart = new int[parts.size()];
        int next = first;
        for (int i = 0; i < byPart.length; i++) {
            if (parts.get(i).made().isPresent()) {
                byPart[i] = next;
                next++;
            }
        }
        end = next;
    }

    /** The place of a part that is made. */
    int of(int part) {
        return byPart[part];
    }

    /** Returns how many places there are. */
    int end() {
        return end;
    }
}
