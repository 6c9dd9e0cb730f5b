package dev.patientharbor.rig;

import dev.patientharbor.plan.Part;
import java.util.List;

/**
 * The numbers by which a rig knows its stations, so that those that may have an object to keep come
 * first: those of which a class has one object, then the parts that are made, then all other parts.
 */
final class Numbers {

    private final int first;
    private final int end;
    private final int[] byPart;
    private final int[] parts;

    /**
     * @param parts the parts of the assembly
     * @param first how many stations are no part
     */
    Numbers(List<Part> parts, int first) {
        this.first = first;
        byPart = new int[parts.size()];
        this.parts = new int[parts.size()];
        int made = number(parts, true, 0);
        end = first + made;
        number(parts, false, made);
    }

    private int number(List<Part> all, boolean made, int from) {
        int next = from;
        for (int i = 0; i < byPart.length; i++) {
            if (all.get(i).made().isPresent() == made) {
                parts[next] = i;
                byPart[i] = first + next;
                next++;
            }
        }
        return next;
    }

    /** The number of a part. */
    int of(int part) {
        return byPart[part];
    }

    /** The part of that number. */
    int part(int number) {
        return parts[number - first];
    }

    /** The number after the last that may have an object to keep. */
    int end() {
        return end;
    }
}
