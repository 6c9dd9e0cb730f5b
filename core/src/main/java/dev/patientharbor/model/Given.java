package dev.patientharbor.model;

import dev.patientharbor.finding.Where;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** A value as the user wrote it, not converted yet. */
public sealed interface Given {

    Where at();

    /** The value as text, settings by their names: equal for equal values. */
    String says();

    /** A plain value; may hold settings such as {@code ${NAME:-default}}. */
    record Text(String text, Where at) implements Given {
        @Override
        public String says() {
            return text;
        }
    }

    /** A list of values. */
    record Items(List<Given> items, Where at) implements Given {
        public Items {
            items = List.copyOf(items);
        }

        @Override
        public String says() {
            return items.stream().map(Given::says).collect(Collectors.joining(", ", "[", "]"));
        }
    }

    /** Values by name, in order. */
    record Fields(Map<String, Given> fields, Where at) implements Given {
        public Fields {
            fields = new LinkedHashMap<>(fields);
        }

        @Override
        public String says() {
            return fields.entrySet().stream()
                    .map(field -> field.getKey() + ": " + field.getValue().says())
                    .collect(Collectors.joining(", ", "{", "}"));
        }
    }
}
