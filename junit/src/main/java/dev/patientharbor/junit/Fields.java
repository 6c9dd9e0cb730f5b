package dev.patientharbor.junit;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.profiles.Supplies;
import dev.patientharbor.rig.Rig;
import java.lang.annotation.Annotation;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.platform.commons.support.AnnotationSupport;
import org.junit.platform.commons.support.HierarchyTraversalMode;

/** The marked fields of test instances. */
final class Fields {

    private Fields() {}

    /** The plan with all that the fields swap in. */
    static Plan swap(Plan plan, List<Object> instances) {
        Plan swapped = plan;
        for (Object instance : instances) {
            for (Field field : marked(instance, SwappedIn.class)) {
                swapped = swap(swapped, field, get(field, instance));
            }
        }
        return swapped;
    }

    private static Plan swap(Plan plan, Field field, Object object) {
        String key = field.getAnnotation(SwappedIn.class).value();
        String slot = field.getGenericType().getTypeName() + (key.isEmpty() ? "" : "@" + key);
        return plan.swap(
                slot.replace(" ", ""),
                object == null ? Supplies.mock() : Supplies.object(object).asStub());
    }

    /** A field of an instance that was given a mock. */
    record Mocked(Object instance, Field field) {

        /** Takes it away, so that the next test has its own. */
        void clear() {
            set(field, instance, null);
        }
    }

    /** Fills the fields from a rig: what was asked for, and the mocks that were swapped in. */
    static List<Mocked> fill(Rig rig, List<Object> instances) {
        List<Mocked> mocked = new ArrayList<>();
        for (Object instance : instances) {
            for (Field field : marked(instance, FromRig.class)) {
                Optional<String> key = key(field.getAnnotation(FromRig.class).value());
                set(field, instance, Asked.of(rig, field.getGenericType(), key));
            }
            for (Field field : marked(instance, SwappedIn.class)) {
                if (get(field, instance) == null) {
                    Optional<String> key = key(field.getAnnotation(SwappedIn.class).value());
                    set(field, instance, rig.held(field.getGenericType(), key).innermost());
                    mocked.add(new Mocked(instance, field));
                }
            }
        }
        return mocked;
    }

    static Optional<String> key(String written) {
        return written.isEmpty() ? Optional.empty() : Optional.of(written);
    }

    private static <A extends Annotation> List<Field> marked(Object instance, Class<A> mark) {
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
                                + field.getDeclaringClass().getName()
                                + " is marked with @"
                                + mark.getSimpleName()
                                + ", so it must not be "
                                + (Modifier.isStatic(modifiers) ? "static" : "final"));
            }
            field.setAccessible(true);
        }
        return fields;
    }

    private static Object get(Field field, Object instance) {
        try {
            return field.get(instance);
        } catch (IllegalAccessException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static void set(Field field, Object instance, Object value) {
        try {
            field.set(instance, value);
        } catch (IllegalAccessException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
