package dev.patientharbor.drafting;

import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.tracing.TracedCollection;
import dev.patientharbor.tracing.TracedValue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Writes values of the code as a profile file writes them: texts, lists and maps. */
final class GivenValues {

    private GivenValues() {}

    /** Returns what stands for a value of a type; empty if it is not known, or none. */
    static Optional<Object> of(TracedValue value, TypeRef type) {
        Optional<TracedCollection> collection = value.collection();
        if (collection.isPresent()) {
            return of(collection.get(), type);
        }
        Optional<Object> constant = value.constant();
        if (constant.filter(TracedValue.ClassConstant.class::isInstance).isPresent()) {
            return Optional.empty();
        }
        if (constant.isPresent() && constant.get() instanceof Integer number) {
            return Optional.of(ofInt(number, type.text()));
        }
        return value.written().map(text -> text);
    }

    /** In bytecode characters and truth values are whole numbers. */
    private static String ofInt(int number, String type) {
        return switch (type) {
            case "boolean", "java.lang.Boolean" -> String.valueOf(number != 0);
            case "char", "java.lang.Character" -> String.valueOf((char) number);
            default -> String.valueOf(number);
        };
    }

    private static Optional<Object> of(TracedCollection collection, TypeRef type) {
        if (collection.beyond().isPresent()) {
            return Optional.empty();
        }
        TypeRef element = element(type);
        List<Object> list = new ArrayList<>();
        Map<String, Object> map = new LinkedHashMap<>();
        for (TracedCollection.Entry entry : collection.entries()) {
            Optional<Object> value = of(entry.value(), element);
            Optional<String> key = entry.key().flatMap(TracedValue::written);
            if (value.isEmpty() || entry.key().isPresent() && key.isEmpty()) {
                return Optional.empty();
            }
            key.ifPresentOrElse(name -> map.put(name, value.get()), () -> list.add(value.get()));
        }
        return switch (collection.kind()) {
            case ELEMENTS -> Optional.of(list);
            case MAP -> Optional.of(map);
            case OPTIONAL, ITERATOR, TEXT -> Optional.empty();
        };
    }

    private static TypeRef element(TypeRef type) {
        if (type instanceof TypeRef.ArrayType array) {
            return array.element();
        }
        return type instanceof TypeRef.ClassType named && !named.arguments().isEmpty()
                ? named.arguments().get(named.arguments().size() - 1)
                : type;
    }
}
