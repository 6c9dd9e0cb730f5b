package dev.patientharbor.live;

import java.lang.reflect.Constructor;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Makes exceptions by their classes. */
final class ExceptionMaker {

    private ExceptionMaker() {}

    /**
     * An exception with a message, by the first that fits of its public constructors: of a message,
     * of a message and a cause, of a cause, of nothing. A cause that must be there is made in the
     * same way.
     *
     * @throws IllegalArgumentException if none fits
     */
    static Throwable of(Class<?> type, Optional<String> saying) {
        for (List<Class<?>> wanted :
                List.<List<Class<?>>>of(
                        List.of(String.class),
                        List.of(String.class, Throwable.class),
                        List.of(Throwable.class),
                        List.of())) {
            for (Constructor<?> constructor : type.getConstructors()) {
                if (fits(constructor, wanted)) {
                    return made(constructor, saying);
                }
            }
        }
        throw new IllegalArgumentException(
                type.getName() + " has no public constructor of a message, a cause or nothing");
    }

    private static boolean fits(Constructor<?> constructor, List<Class<?>> wanted) {
        Class<?>[] types = constructor.getParameterTypes();
        if (types.length != wanted.size()) {
            return false;
        }
        for (int i = 0; i < types.length; i++) {
            boolean fits =
                    wanted.get(i) == Throwable.class
                            ? Throwable.class.isAssignableFrom(types[i])
                            : types[i] == String.class;
            if (!fits) {
                return false;
            }
        }
        return true;
    }

    private static Throwable made(Constructor<?> constructor, Optional<String> saying) {
        List<Object> arguments = new ArrayList<>();
        for (Class<?> type : constructor.getParameterTypes()) {
            if (type == String.class) {
                arguments.add(saying.orElse(null));
            } else {
                arguments.add(type == Throwable.class ? null : of(type, saying));
            }
        }
        try {
            return (Throwable) constructor.newInstance(arguments.toArray());
        } catch (ReflectiveOperationException unusable) {
            throw new IllegalArgumentException(
                    "no " + constructor.getDeclaringClass().getName() + " could be made", unusable);
        }
    }
}
