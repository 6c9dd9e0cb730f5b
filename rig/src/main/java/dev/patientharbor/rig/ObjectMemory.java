package dev.patientharbor.rig;

import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is remembered of the objects that a rig or a scope keeps, to show what is in them: their
 * layers, and what they were given that nobody else holds; and which must be closed.
 */
final class ObjectMemory {

    private final CloseList closeList;
    private Map<Object, List<Object>> layers = Map.of();
    private Map<Object, List<Object>> given = Map.of();

    /**
     * @param marks what must be closed, though it is no {@link AutoCloseable}
     */
    ObjectMemory(EndMarks marks) {
        closeList = new CloseList(marks);
    }

    CloseList closing() {
        return closeList;
    }

    /** Remembers an object with what is in it, from itself to its core. */
    synchronized void layers(Object outermost, List<Object> fromOutside) {
        if (layers.isEmpty()) {
            layers = new IdentityHashMap<>();
        }
        layers.put(outermost, fromOutside);
    }

    /** Remembers what the constructor and the marked members of an object were given. */
    synchronized void given(Object object, List<Object> inOrder) {
        if (given.isEmpty()) {
            given = new IdentityHashMap<>();
        }
        given.put(object, inOrder);
    }

    synchronized Optional<List<Object>> layers(Object outermost) {
        return layers.isEmpty() ? Optional.empty() : Optional.ofNullable(layers.get(outermost));
    }

    synchronized Optional<List<Object>> given(Object object) {
        return given.isEmpty() ? Optional.empty() : Optional.ofNullable(given.get(object));
    }
}
