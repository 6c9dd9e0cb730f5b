package dev.patientharbor.model;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Values for the parameters of a constructor: by name, or for its parameters of value types in
 * order. One of the two is empty.
 *
 * @param named by the name of the parameter, in order
 * @param positional one after the other
 */
public record GivenArguments(Map<String, GivenValue> named, List<GivenValue> positional) {

    /** The arguments without a value. */
    public static final GivenArguments NOTHING = new GivenArguments(Map.of(), List.of());

    public GivenArguments {
        named = Collections.unmodifiableMap(new LinkedHashMap<>(named));
        positional = List.copyOf(positional);
    }

    /**
     * Returns these values with others put upon them: each by its name, a list in place of a list.
     */
    public GivenArguments changedBy(GivenArguments other) {
        Map<String, GivenValue> all = new LinkedHashMap<>(named);
        all.putAll(other.named);
        return new GivenArguments(all, other.positional.isEmpty() ? positional : other.positional);
    }

    public boolean isEmpty() {
        return named.isEmpty() && positional.isEmpty();
    }

    /** The values as people read them: {@code folder: berths, patience: 5s}, or {@code 10, 500}. */
    public String words() {
        if (isEmpty()) {
            return "";
        }
        return Stream.concat(
                        named.entrySet().stream()
                                .map(entry -> GivenValue.field(entry.getKey(), entry.getValue())),
                        positional.stream().map(GivenValue::canonicalText))
                .collect(Collectors.joining(", "));
    }

    /** Describes the values and the constructor that is named: {@code 10, constructor: [int]}. */
    public String words(Optional<List<String>> constructor) {
        return constructor
                .map(it -> words() + (isEmpty() ? "" : ", ") + "constructor: " + it)
                .orElseGet(this::words);
    }

    /** The values as text: equal for equal values. */
    public String canonicalText() {
        return named.entrySet().stream()
                        .map(entry -> GivenValue.field(entry.getKey(), entry.getValue()))
                        .toList()
                        .toString()
                + positional.stream().map(GivenValue::canonicalText).toList();
    }
}
