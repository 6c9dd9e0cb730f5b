package dev.patientharbor.rig;

import dev.patientharbor.live.Classes;
import java.lang.annotation.Annotation;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/**
 * The methods that the standard's mark asks to be called at the end (Jakarta Annotations, {@code
 * PreDestroy}), the class's own first. Where the mark is not on the class path no class is looked
 * at.
 */
final class EndMarks {

    private final List<Class<? extends Annotation>> marks;
    private final Map<Class<?>, List<Method>> known = new ConcurrentHashMap<>();

    EndMarks(Classes classes) {
        marks =
                Stream.of("jakarta.annotation.PreDestroy", "javax.annotation.PreDestroy")
                        .flatMap(name -> classes.find(name).stream())
                        .<Class<? extends Annotation>>map(one -> one.asSubclass(Annotation.class))
                        .toList();
    }

    List<Method> of(Class<?> type) {
        return marks.isEmpty() ? List.of() : known.computeIfAbsent(type, this::marked);
    }

    private List<Method> marked(Class<?> type) {
        List<Method> marked = new ArrayList<>(0);
        for (Class<?> at = type; at.getClassLoader() != null; at = at.getSuperclass()) {
            for (Method method : at.getDeclaredMethods()) {
                if (marks.stream().anyMatch(method::isAnnotationPresent)) {
                    marked.add(method);
                }
            }
        }
        return marked;
    }
}
