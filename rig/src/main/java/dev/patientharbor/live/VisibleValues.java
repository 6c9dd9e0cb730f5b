package dev.patientharbor.live;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Calls and values as people read them. */
public final class VisibleValues {

    private VisibleValues() {}

    /** Returns a call as people read it: {@code announce("berth 3 is taken")}. */
    public static String call(String method, List<Object> arguments) {
        return arguments.stream()
                .map(VisibleValues::value)
                .collect(Collectors.joining(", ", method + "(", ")"));
    }

    /** Returns a value as people read it: a text in quotes, an array as its elements. */
    public static String value(Object value) {
        if (value instanceof CharSequence text) {
            return "\"" + text + "\"";
        }
        if (value instanceof Map<?, ?> map) {
            return map.entrySet().stream()
                    .map(entry -> value(entry.getKey()) + ": " + value(entry.getValue()))
                    .collect(Collectors.joining(", ", "{", "}"));
        }
        if (value instanceof List<?> list) {
            return list.stream().map(VisibleValues::value).toList().toString();
        }
        return value != null && value.getClass().isArray()
                ? Arrays.deepToString(new Object[] {value}).replaceFirst("^\\[(.*)]$", "$1")
                : String.valueOf(value);
    }
}
