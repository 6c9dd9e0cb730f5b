package dev.patientharbor.model;

import dev.patientharbor.finding.SourcePosition;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** A value as the user wrote it, not converted yet. */
public sealed interface GivenValue {

    /** Calls the function for its kind, and returns the result. */
    <T> T match(Function<Text, T> text, Function<Items, T> items, Function<Fields, T> fields);

    SourcePosition at();

    /** The plain value, if it is one. */
    default Optional<Text> plain() {
        return match(Optional::of, items -> Optional.empty(), fields -> Optional.empty());
    }

    /** The list, if it is one. */
    default Optional<Items> list() {
        return match(text -> Optional.empty(), Optional::of, fields -> Optional.empty());
    }

    /** The values by name, if it has names. */
    default Optional<Fields> map() {
        return match(text -> Optional.empty(), items -> Optional.empty(), Optional::of);
    }

    /** The value as text, settings by their names: equal for equal values. */
    String canonicalText();

    /** A value under its name, as text. */
    static String field(String name, GivenValue value) {
        return plainOrQuoted(name) + ": " + value.canonicalText();
    }

    /** A text, in quotes if it could be taken for several values. */
    private static String plainOrQuoted(String text) {
        boolean isPlain =
                text.equals(text.strip())
                        && !text.isEmpty()
                        && !text.contains(", ")
                        && !text.contains(": ")
                        && text.chars().noneMatch(sign -> sign == '"' || sign < ' ')
                        && "[{".indexOf(text.charAt(0)) < 0
                        && !text.endsWith("]");
        if (isPlain) {
            return text;
        }
        String escaped = text.replace("\\", "\\\\").replace("\"", "\\\"");
        return '"' + escaped.replace("\n", "\\n").replace("\r", "\\r").replace("\t", "\\t") + '"';
    }

    /** A plain value; may hold settings such as {@code ${NAME:-default}}. */
    record Text(String text, SourcePosition at) implements GivenValue {
        @Override
        public String canonicalText() {
            return GivenValue.plainOrQuoted(text);
        }

        @Override
        public <T> T match(
                Function<Text, T> text, Function<Items, T> items, Function<Fields, T> fields) {
            return text.apply(this);
        }
    }

    /** A list of values. */
    record Items(List<GivenValue> items, SourcePosition at) implements GivenValue {
        public Items {
            items = List.copyOf(items);
        }

        @Override
        public String canonicalText() {
            return items.stream()
                    .map(GivenValue::canonicalText)
                    .collect(Collectors.joining(", ", "[", "]"));
        }

        @Override
        public <T> T match(
                Function<Text, T> text, Function<Items, T> items, Function<Fields, T> fields) {
            return items.apply(this);
        }
    }

    /** Values by name, in order. */
    record Fields(Map<String, GivenValue> fields, SourcePosition at) implements GivenValue {
        public Fields {
            fields = Collections.unmodifiableMap(new LinkedHashMap<>(fields));
        }

        @Override
        public String canonicalText() {
            return fields.entrySet().stream()
                    .map(field -> GivenValue.field(field.getKey(), field.getValue()))
                    .collect(Collectors.joining(", ", "{", "}"));
        }

        @Override
        public <T> T match(
                Function<Text, T> text, Function<Items, T> items, Function<Fields, T> fields) {
            return fields.apply(this);
        }
    }
}
