package dev.patientharbor.junit;

import dev.patientharbor.rig.Rig;
import dev.patientharbor.texts.JavaName;
import java.lang.annotation.Annotation;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.junit.platform.commons.support.AnnotationSupport;
import org.junit.platform.commons.support.HierarchyTraversalMode;

/** The marked fields of test instances. */
final class MarkedFields {

    private MarkedFields() {}

    /** Fills the fields of an instance that are marked with {@link FromRig}. */
    static void fill(Object instance, Supplier<Rig> rig) {
        for (Field field : marked(instance, FromRig.class)) {
            Optional<String> key = key(field.getAnnotation(FromRig.class).value());
            set(field, instance, RigRequest.of(rig.get(), field.getGenericType(), key));
        }
    }

    /** Whether an instance has a field with a mark. */
    static boolean hasAny(Object instance, Class<? extends Annotation> mark) {
        return hasAny(instance.getClass(), mark);
    }

    /** Whether a class has a field with a mark. */
    static boolean hasAny(Class<?> type, Class<? extends Annotation> mark) {
        return !AnnotationSupport.findAnnotatedFields(
                        type, mark, field -> true, HierarchyTraversalMode.TOP_DOWN)
                .isEmpty();
    }

    static Optional<String> key(String written) {
        return written.isEmpty() ? Optional.empty() : Optional.of(written);
    }

    static <A extends Annotation> List<Field> marked(Object instance, Class<A> mark) {
        List<Field> fields =
                AnnotationSupport.findAnnotatedFields(
                        instance.getClass(), mark, field -> true, HierarchyTraversalMode.TOP_DOWN);
        for (Field field : fields) {
            int modifiers = field.getModifiers();
            boolean reads = mark == SwappedIn.class && Modifier.isFinal(modifiers);
            if (Modifier.isStatic(modifiers) || Modifier.isFinal(modifiers) && !reads) {
                throw new IllegalStateException(
                        "the field "
                                + field.getName()
                                + " of "
                                + JavaName.of(field.getDeclaringClass())
                                + " is marked with @"
                                + mark.getSimpleName()
                                + ", so it must not be "
                                + (Modifier.isStatic(modifiers) ? "static" : "final"));
            }
            field.setAccessible(true);
        }
        return fields;
    }

    static Object get(Field field, Object instance) {
        try {
            return field.get(instance);
        } catch (IllegalAccessException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    static void set(Field field, Object instance, Object value) {
        try {
            field.set(instance, value);
        } catch (IllegalAccessException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
