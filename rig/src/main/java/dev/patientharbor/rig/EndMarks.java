package dev.patientharbor.rig;

import dev.patientharbor.live.UserClasses;
import java.lang.annotation.Annotation;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The methods that the standard's mark asks to be called at the end (Jakarta Annotations, {@code
 * PreDestroy}), the class's own first. Where the mark is not on the class path no class is looked
 * at.
 */
final class EndMarks {

    private final List<Class<? extends Annotation>> marks = new ArrayList<>(2);
    private final Map<Class<?>, List<Method>> known = new ConcurrentHashMap<>();

    EndMarks(UserClasses classes) {
        for (String name :
                List.of("jakarta.annotation.PreDestroy", "javax.annotation.PreDestroy")) {
            Optional<Class<?>> found = classes.find(name);
            if (found.isPresent()) {
                marks.add(found.get().asSubclass(Annotation.class));
            }
        }
    }

    /** Whether objects of a class must be closed. */
    boolean ends(Class<?> type) {
        return AutoCloseable.class.isAssignableFrom(type) || !of(type).isEmpty();
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
