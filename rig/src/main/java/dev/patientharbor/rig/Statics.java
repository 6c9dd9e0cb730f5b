package dev.patientharbor.rig;

import java.lang.annotation.Annotation;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.Field;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Parameter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

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
                        Members.open(field).set(null, from.get(field.getGenericType(), key(field)));
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
        return Modifier.isStatic(modifiers) && has(member, "Inject").isPresent();
    }

    private Object[] arguments(Method method) {
        List<Object> arguments = new ArrayList<>();
        for (Parameter one : method.getParameters()) {
            arguments.add(from.get(one.getParameterizedType(), key(one)));
        }
        return arguments.toArray();
    }

    private static Optional<String> key(AnnotatedElement member) {
        Optional<Annotation> named = has(member, "Named");
        try {
            return named.isPresent()
                    ? Optional.of(
                                    (String)
                                            named.get()
                                                    .annotationType()
                                                    .getMethod("value")
                                                    .invoke(named.get()))
                            .filter(text -> !text.isEmpty())
                    : Optional.empty();
        } catch (ReflectiveOperationException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static Optional<Annotation> has(AnnotatedElement member, String simpleName) {
        for (Annotation mark : member.getAnnotations()) {
            String name = mark.annotationType().getName();
            if (name.equals("jakarta.inject." + simpleName)
                    || name.equals("javax.inject." + simpleName)) {
                return Optional.of(mark);
            }
        }
        return Optional.empty();
    }
}
