package dev.patientharbor.model;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Values for the parameters of a constructor: by name, or for its parameters of value types in
 * order. One of the two is empty.
 *
 * @param named by the name of the parameter, in order
 * @param positional one after the other
 */
public record With(Map<String, Given> named, List<Given> positional) {

    /** No values. */
    public static final With NOTHING = new With(Map.of(), List.of());

    public With {
        named = new LinkedHashMap<>(named);
        positional = List.copyOf(positional);
    }

    /** These values with others put upon them: each by its name, a list in place of a list. */
    public With changedBy(With other) {
        Map<String, Given> all = new LinkedHashMap<>(named);
        all.putAll(other.named);
        return new With(all, other.positional.isEmpty() ? positional : other.positional);
    }

    public boolean isEmpty() {
        return named.isEmpty() && positional.isEmpty();
    }

    /** The values as text: equal for equal values. */
    public String says() {
        return named.entrySet().stream()
                        .map(one -> one.getKey() + ": " + one.getValue().says())
                        .toList()
                        .toString()
                + positional.stream().map(Given::says).toList();
    }
}
