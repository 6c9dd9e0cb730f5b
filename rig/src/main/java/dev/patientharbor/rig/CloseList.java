package dev.patientharbor.rig;

import dev.patientharbor.texts.JavaName;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Remembers what must be closed, and closes it: what is {@link AutoCloseable}, then what has a
 * method with the standard's mark (Jakarta Annotations, {@code PreDestroy}).
 */
final class CloseList {

    private final EndMarks marks;

    /** What an object threw when it was closed. */
    private record Failure(Object object, Throwable thrown) {
        String text() {
            return JavaName.of(object.getClass()) + " threw " + ThrownText.of(thrown);
        }
    }

    private final List<Object> inOrder = new ArrayList<>();

    CloseList(EndMarks marks) {
        this.marks = marks;
    }

    synchronized void add(Object object) {
        inOrder.add(object);
    }

    /**
     * Closes all, each once, the last first, whatever fails.
     *
     * @throws RigException if something failed, with all failures
     */
    void close(String profile) {
        List<Object> all;
        synchronized (this) {
            all = new ArrayList<>(inOrder);
            inOrder.clear();
        }
        Collections.reverse(all);
        Set<Object> closed = Collections.newSetFromMap(new IdentityHashMap<>());
        List<Failure> failures = new ArrayList<>();
        for (Object one : all) {
            if (closed.add(one)) {
                close(one, marks, failures);
            }
        }
        if (!failures.isEmpty()) {
            RigException together =
                    RigException.ofClosing(
                            failures.get(0).object().getClass(),
                            failures.size()
                                    + (failures.size() == 1 ? " object" : " objects")
                                    + " could not be closed in the rig of "
                                    + profile
                                    + " (all others were): "
                                    + failures.stream()
                                            .map(Failure::text)
                                            .collect(Collectors.joining("; ")),
                            failures.get(0).thrown());
            failures.subList(1, failures.size()).stream()
                    .map(Failure::thrown)
                    .forEach(together::addSuppressed);
            throw together;
        }
    }

    private static void close(Object one, EndMarks marks, List<Failure> failures) {
        if (one instanceof AutoCloseable closeable) {
            try {
                closeable.close();
            } catch (Throwable failure) {
                failures.add(new Failure(one, failure));
            }
        }
        for (Method method : marks.of(one.getClass())) {
            try {
                method.setAccessible(true);
                method.invoke(one);
            } catch (InvocationTargetException thrown) {
                failures.add(new Failure(one, thrown.getCause()));
            } catch (ReflectiveOperationException | RuntimeException unusable) {
                failures.add(new Failure(one, unusable));
            }
        }
    }
}
