package dev.patientharbor.rig;

import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is remembered of the objects that a rig or a scope keeps, to show what is in them: their
 * layers, and what they were given that nobody else holds.
 */
final class Memory {

    private final Map<Object, List<Object>> layers =
            Collections.synchronizedMap(new IdentityHashMap<>());
    private final Map<Object, List<Object>> given =
            Collections.synchronizedMap(new IdentityHashMap<>());

    /** Remembers an object with what is in it, from itself to its core. */
    void layers(Object outermost, List<Object> fromOutside) {
        layers.put(outermost, fromOutside);
    }

    /** Remembers what the constructor and the marked members of an object were given. */
    void given(Object object, List<Object> inOrder) {
        given.put(object, inOrder);
    }

    Optional<List<Object>> layers(Object outermost) {
        return Optional.ofNullable(layers.get(outermost));
    }

    Optional<List<Object>> given(Object object) {
        return Optional.ofNullable(given.get(object));
    }
}
