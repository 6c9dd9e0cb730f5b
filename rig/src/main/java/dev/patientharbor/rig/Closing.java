package dev.patientharbor.rig;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;

/**
 * Remembers what must be closed, and closes it: what is {@link AutoCloseable}, then what has a
 * method with the standard's mark (Jakarta Annotations, {@code PreDestroy}).
 */
final class Closing {

    private final EndMarks marks;

    private final List<Object> inOrder = new ArrayList<>();

    Closing(EndMarks marks) {
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
        List<Throwable> failures = new ArrayList<>();
        for (Object one : all) {
            if (closed.add(one)) {
                close(one, failures);
            }
        }
        if (!failures.isEmpty()) {
            RigException together =
                    new RigException(
                            failures.size()
                                    + (failures.size() == 1 ? " object" : " objects")
                                    + " could not be closed in the rig of "
                                    + profile
                                    + "; all others were: "
                                    + failures.stream().map(Throwable::toString).toList(),
                            failures.get(0));
            failures.subList(1, failures.size()).forEach(together::addSuppressed);
            throw together;
        }
    }

    private void close(Object one, List<Throwable> failures) {
        if (one instanceof AutoCloseable closeable) {
            try {
                closeable.close();
            } catch (Throwable failure) {
                failures.add(failure);
            }
        }
        for (Method method : marks.of(one.getClass())) {
            try {
                method.setAccessible(true);
                method.invoke(one);
            } catch (InvocationTargetException thrown) {
                failures.add(thrown.getCause());
            } catch (ReflectiveOperationException | RuntimeException unusable) {
                failures.add(unusable);
            }
        }
    }
}
