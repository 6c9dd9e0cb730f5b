package dev.patientharbor.rig;

import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.Field;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Parameter;
import java.util.ArrayList;
import java.util.List;

/**
 * Fills the static members of a class that have the standard's mark (Jakarta Dependency Injection,
 * {@code Inject}), on request: superclass first, fields before methods.
 */
final class Statics {

    private final Giver from;

    Statics(Giver from) {
        this.from = from;
    }

    void fill(Class<?> type) {
        List<Class<?>> chain = new ArrayList<>();
        for (Class<?> at = type;
                at != null && at.getClassLoader() != null;
                at = at.getSuperclass()) {
            chain.add(0, at);
        }
        try {
            for (Class<?> one : chain) {
                for (Field field : one.getDeclaredFields()) {
                    if (isMarked(field, field.getModifiers())) {
                        Members.open(field)
                                .set(null, from.get(field.getGenericType(), KeyMarks.key(field)));
                    }
                }
                for (Method method : one.getDeclaredMethods()) {
                    if (isMarked(method, method.getModifiers())) {
                        Members.open(method).invoke(null, arguments(method));
                    }
                }
            }
        } catch (InvocationTargetException thrown) {
            throw new RigException(
                    "a static method of " + type.getName() + " threw " + thrown.getCause(),
                    thrown.getCause());
        } catch (IllegalAccessException closed) {
            throw new RigException(
                    "a static member of " + type.getName() + " cannot be filled", closed);
        }
    }

    private static boolean isMarked(AnnotatedElement member, int modifiers) {
        return Modifier.isStatic(modifiers) && KeyMarks.has(member, "Inject");
    }

    private Object[] arguments(Method method) {
        List<Object> arguments = new ArrayList<>();
        for (Parameter one : method.getParameters()) {
            arguments.add(from.get(one.getParameterizedType(), KeyMarks.key(one)));
        }
        return arguments.toArray();
    }
}
