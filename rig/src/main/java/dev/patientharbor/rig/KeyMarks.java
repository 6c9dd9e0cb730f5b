package dev.patientharbor.rig;

import java.lang.annotation.Annotation;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.Array;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * The keys that marks of the standard give to a member or a parameter (Jakarta Dependency
 * Injection, {@code Named} and {@code Qualifier}), as profiles write them.
 */
final class KeyMarks {

    private KeyMarks() {}

    /** The key: a name, unless it is empty, or a qualifier with its members, {@code Zone(3)}. */
    static Optional<String> key(AnnotatedElement marked) {
        for (Annotation mark : marked.getAnnotations()) {
            Class<?> type = mark.annotationType();
            if (isOneOf(type, "Named")) {
                return Optional.of((String) members(mark).get("value"))
                        .filter(name -> !name.isBlank());
            }
            for (Annotation onIt : type.getAnnotations()) {
                if (isOneOf(onIt.annotationType(), "Qualifier")) {
                    return Optional.of(type.getSimpleName() + '(' + text(members(mark)) + ')');
                }
            }
        }
        return Optional.empty();
    }

    /** Whether it has a mark of the standard, of that simple name. */
    static boolean has(AnnotatedElement marked, String simpleName) {
        for (Annotation mark : marked.getAnnotations()) {
            if (isOneOf(mark.annotationType(), simpleName)) {
                return true;
            }
        }
        return false;
    }

    private static boolean isOneOf(Class<?> type, String simpleName) {
        return type.getName().equals("jakarta.inject." + simpleName)
                || type.getName().equals("javax.inject." + simpleName);
    }

    private static String text(Map<String, Object> members) {
        List<String> texts = new ArrayList<>();
        boolean valueAlone = members.size() == 1 && members.containsKey("value");
        members.forEach((name, value) -> texts.add((valueAlone ? "" : name + '=') + text(value)));
        return String.join(",", texts);
    }

    private static String text(Object value) {
        if (value instanceof Class<?> type) {
            return type.getTypeName();
        }
        if (value instanceof Enum<?> constant) {
            return constant.name();
        }
        if (!value.getClass().isArray()) {
            return value.toString();
        }
        List<String> elements = new ArrayList<>();
        for (int i = 0; i < Array.getLength(value); i++) {
            elements.add(text(Array.get(value, i)));
        }
        return '[' + String.join(",", elements) + ']';
    }

    private static Map<String, Object> members(Annotation mark) {
        Map<String, Object> members = new TreeMap<>();
        for (Method member : mark.annotationType().getDeclaredMethods()) {
            try {
                members.put(member.getName(), MemberAccess.open(member).invoke(mark));
            } catch (ReflectiveOperationException fault) {
                throw new IllegalStateException("cannot read " + mark, fault);
            }
        }
        return members;
    }
}
