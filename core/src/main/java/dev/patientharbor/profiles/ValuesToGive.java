package dev.patientharbor.profiles;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.GivenArguments;
import dev.patientharbor.model.GivenValue;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The values that are given to a constructor or a factory, and the constructor that is to take
 * them.
 *
 * @param named by the name of the parameter, in order
 * @param positional one after the other
 * @param constructor the parameter types of the constructor, if it is said
 */
record ValuesToGive(
        Map<String, Object> named, List<Object> positional, Optional<List<String>> constructor) {

    static final ValuesToGive NONE = new ValuesToGive(Map.of(), List.of(), Optional.empty());

    /** Returns these values with one more, by name. */
    ValuesToGive with(String parameter, Object value) {
        requireValue(parameter, "the name of a parameter");
        requireValue(value, "the value of " + parameter);
        Map<String, Object> more = new LinkedHashMap<>(named);
        more.put(parameter, value);
        return new ValuesToGive(more, positional, constructor);
    }

    ValuesToGive inOrder(Object... values) {
        List<Object> all = new ArrayList<>(Arrays.asList(values));
        all.forEach(value -> requireValue(value, "a value"));
        return new ValuesToGive(named, all, constructor);
    }

    ValuesToGive byConstructor(Class<?>... types) {
        List<String> names = Arrays.stream(types).map(Class::getTypeName).toList();
        return new ValuesToGive(named, positional, Optional.of(names));
    }

    private static void requireValue(Object value, String what) {
        if (value == null) {
            throw new IllegalArgumentException(what + " is null, and no text stands for that");
        }
    }

    GivenArguments values(NameCollector names, SourcePosition at) {
        Stream.concat(named.values().stream(), positional.stream())
                .filter(Enum.class::isInstance)
                .forEach(constant -> names.classes().add(((Enum<?>) constant).getDeclaringClass()));
        Map<String, GivenValue> values = new LinkedHashMap<>();
        named.forEach((name, value) -> values.put(name, GivenValueMaker.of(value, at)));
        return new GivenArguments(
                values, positional.stream().map(value -> GivenValueMaker.of(value, at)).toList());
    }
}
