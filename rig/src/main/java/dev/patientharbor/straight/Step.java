package dev.patientharbor.straight;

import java.lang.reflect.Constructor;
import java.lang.reflect.Modifier;
import java.util.List;

/**
 * An object that is made with {@code new} and kept.
 *
 * @param number the number by which it is kept
 * @param constructor what makes it
 * @param arguments the numbers of what it is given, in order
 */
public record Step(int number, Constructor<?> constructor, List<Integer> arguments) {

    /** Keeps its own copy of the arguments. */
    public Step {
        arguments = List.copyOf(arguments);
    }

    /** Whether code of another package and module may say it: all types it names are public. */
    boolean isOpenTo(Module module) {
        if (!Modifier.isPublic(constructor.getModifiers())
                || !isOpen(constructor.getDeclaringClass(), module)) {
            return false;
        }
        for (Class<?> type : constructor.getParameterTypes()) {
            if (!isOpen(type, module)) {
                return false;
            }
        }
        return true;
    }

    private static boolean isOpen(Class<?> type, Module module) {
        if (type.isArray()) {
            return isOpen(type.getComponentType(), module);
        }
        return Modifier.isPublic(type.getModifiers())
                && type.getModule().isExported(type.getPackageName(), module);
    }
}
