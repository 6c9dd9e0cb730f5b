package gullwing.port;

import java.util.HashMap;
import java.util.Map;

/** The port's own way to find things in the middle of work, from before it passed them in. */
public final class Locator {

    private final Map<Class<?>, Object> found = new HashMap<>();

    public <T> void put(Class<T> type, T object) {
        found.put(type, object);
    }

    public <T> T find(Class<T> type) {
        return type.cast(found.get(type));
    }
}
