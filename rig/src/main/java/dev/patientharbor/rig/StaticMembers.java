package dev.patientharbor.rig;

import dev.patientharbor.texts.JavaName;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.Field;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Member;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Parameter;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Fills the static members of a class that have the standard's mark (Jakarta Dependency Injection,
 * {@code Inject}), on request: superclass first, fields before methods.
 */
final class StaticMembers {

    private final ObjectSource from;
    private final Set<Class<?>> filled;

    /**
     * @param filled the classes of which this was done before; those that it does are added
     */
    StaticMembers(ObjectSource from, Set<Class<?>> filled) {
        this.from = from;
        this.filled = filled;
    }

    void fill(Class<?> type) {
        List<Class<?>> chain = new ArrayList<>();
        for (Class<?> at = type;
                at != null && at.getClassLoader() != null;
                at = at.getSuperclass()) {
            chain.add(0, at);
        }
        chain.removeIf(declaring -> !filled.add(declaring));
        try {
            for (Class<?> one : chain) {
                for (Field field : one.getDeclaredFields()) {
                    if (isMarked(field, field.getModifiers())) {
                        Object object =
                                get(field, field.getGenericType(), KeyMarks.key(field), "field");
                        MemberAccess.open(field).set(null, object);
                    }
                }
                for (Method method : one.getDeclaredMethods()) {
                    if (isMarked(method, method.getModifiers())) {
                        MemberAccess.open(method).invoke(null, arguments(method));
                    }
                }
            }
        } catch (InvocationTargetException thrown) {
            throw new RigException(
                    "a static method of "
                            + JavaName.of(type)
                            + " threw "
                            + ThrownText.of(thrown.getCause()),
                    thrown.getCause());
        } catch (IllegalAccessException closed) {
            throw new RigException(
                    "a static member of " + JavaName.of(type) + " cannot be filled", closed);
        }
    }

    private Object get(Member member, Type type, Optional<String> key, String kind) {
        try {
            return from.get(type, key);
        } catch (IllegalArgumentException unknown) {
            throw new IllegalArgumentException(
                    "the static "
                            + kind
                            + ' '
                            + JavaName.of(member.getDeclaringClass())
                            + '.'
                            + member.getName()
                            + " cannot be filled: "
                            + unknown.getMessage(),
                    unknown);
        }
    }

    private static boolean isMarked(AnnotatedElement member, int modifiers) {
        return Modifier.isStatic(modifiers) && KeyMarks.has(member, "Inject");
    }

    private Object[] arguments(Method method) {
        List<Object> arguments = new ArrayList<>();
        for (Parameter parameter : method.getParameters()) {
            arguments.add(
                    get(
                            method,
                            parameter.getParameterizedType(),
                            KeyMarks.key(parameter),
                            "method"));
        }
        return arguments.toArray();
    }
}
