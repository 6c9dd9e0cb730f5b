package dev.patientharbor.drafting;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a drafted profile says of the whole, or of one consumer. Immutable.
 *
 * @param consumer the consumer; blank for the whole profile
 * @param bindings by slot, as the file writes it
 * @param decorators by slot, outermost first; an empty list for none
 * @param outside the slots that the consumer looks for outside of its own level
 */
public record DraftedLevel(
        String consumer,
        Map<String, DraftedBinding> bindings,
        Map<String, List<DraftedBinding>> decorators,
        List<String> outside) {
    public DraftedLevel {
        bindings = Collections.unmodifiableMap(new LinkedHashMap<>(bindings));
        decorators = Collections.unmodifiableMap(new LinkedHashMap<>(decorators));
        outside = List.copyOf(outside);
    }

    /** Returns whether it says nothing. */
    public boolean isEmpty() {
        return bindings.isEmpty() && decorators.isEmpty() && outside.isEmpty();
    }

    /** Returns what this level and another one of the same consumer both say. */
    public DraftedLevel inCommonWith(DraftedLevel other) {
        Map<String, DraftedBinding> bound = new LinkedHashMap<>(bindings);
        bound.entrySet().retainAll(other.bindings.entrySet());
        Map<String, List<DraftedBinding>> decorated = new LinkedHashMap<>(decorators);
        decorated.entrySet().retainAll(other.decorators.entrySet());
        List<String> both = outside.stream().filter(other.outside::contains).toList();
        return new DraftedLevel(consumer, bound, decorated, both);
    }

    /** Returns this level without what another one of the same consumer says. */
    public DraftedLevel without(DraftedLevel other) {
        Map<String, DraftedBinding> bound = new LinkedHashMap<>(bindings);
        bound.keySet().removeAll(other.bindings.keySet());
        Map<String, List<DraftedBinding>> decorated = new LinkedHashMap<>(decorators);
        decorated.keySet().removeAll(other.decorators.keySet());
        List<String> left = outside.stream().filter(slot -> !other.outside.contains(slot)).toList();
        return new DraftedLevel(consumer, bound, decorated, left);
    }
}
