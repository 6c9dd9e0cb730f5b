package dev.patientharbor.profiles;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.GivenValue;
import java.lang.reflect.Array;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;

/**
 * Turns values of the caller into values as a file gives them: a text may hold settings, a map or a
 * list is one, and whatever else is written as its text.
 */
final class GivenValueMaker {

    private GivenValueMaker() {}

    static GivenValue of(Object value, SourcePosition at) {
        if (value instanceof CharSequence text) {
            return new GivenValue.Text(text.toString(), at);
        }
        if (value instanceof Map<?, ?> map) {
            Map<String, GivenValue> fields = new LinkedHashMap<>();
            map.forEach((key, item) -> fields.put(String.valueOf(key), of(item, at)));
            return new GivenValue.Fields(fields, at);
        }
        if (value instanceof Iterable<?> items && !(value instanceof java.nio.file.Path)) {
            return new GivenValue.Items(
                    StreamSupport.stream(items.spliterator(), false)
                            .map(item -> of(item, at))
                            .toList(),
                    at);
        }
        if (value != null && value.getClass().isArray()) {
            List<GivenValue> items =
                    IntStream.range(0, Array.getLength(value))
                            .mapToObj(i -> of(Array.get(value, i), at))
                            .toList();
            return new GivenValue.Items(items, at);
        }
        String text = value instanceof Enum<?> one ? one.name() : String.valueOf(value);
        return new GivenValue.Text(text.replace("$", "$$"), at);
    }
}
