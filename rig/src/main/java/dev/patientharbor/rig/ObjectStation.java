package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import java.util.List;
import java.util.Map;

/** What hands out the object of one part, in whatever rig of its assembly. */
abstract class ObjectStation {

    private final AssemblyPart part;

    ObjectStation(AssemblyPart part) {
        this.part = part;
    }

    AssemblyPart part() {
        return part;
    }

    /**
     * Hands out the object.
     *
     * @param at the rig or the scope in which it is asked for
     * @throws RigException if it cannot be made
     */
    abstract Object get(InstanceStore at);

    /** The stations whose objects must be there before its own is. */
    abstract List<ObjectStation> asks();

    /**
     * Makes a new object, whatever the lifetime.
     *
     * @param passed what it is given instead, by the names of parameters and fields
     * @throws IllegalArgumentException if there is no such name
     */
    Object fresh(InstanceStore at, Map<String, Object> passed) {
        if (!passed.isEmpty()) {
            throw new IllegalArgumentException(
                    slot() + " is not made here, so it cannot be given " + passed.keySet());
        }
        return get(at);
    }

    /** The station whose object it hands out, as it is or in a wrapping; itself for most. */
    ObjectStation next() {
        return this;
    }

    /** The station at the end of the line. */
    final ObjectStation end() {
        ObjectStation at = this;
        while (at.next() != at) {
            at = at.next();
        }
        return at;
    }

    /** The slot as people read it. */
    String slot() {
        return RigWording.slot(part.slot());
    }
}
