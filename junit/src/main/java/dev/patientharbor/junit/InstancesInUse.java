package dev.patientharbor.junit;

import dev.patientharbor.texts.JavaName;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * Which test instances have their fields filled for a test that runs: an instance that several
 * tests share can hold the objects of one rig at a time.
 */
final class InstancesInUse {

    private static final Map<Object, String> TESTS = new IdentityHashMap<>();

    private InstancesInUse() {}

    /**
     * Notes that a test has its fields filled.
     *
     * @throws IllegalStateException if another test has them, and has not ended
     */
    static void enter(List<Object> instances, ExtensionContext context) {
        synchronized (TESTS) {
            for (Object one : instances) {
                boolean isMarked =
                        MarkedFields.hasAny(one, FromRig.class)
                                || MarkedFields.hasAny(one, SwappedIn.class);
                String other = isMarked ? TESTS.get(one) : null;
                if (other != null && !other.equals(context.getUniqueId())) {
                    throw new IllegalStateException(
                            "tests of "
                                    + JavaName.of(one.getClass())
                                    + " run at the same time in one object, and its marked fields"
                                    + " can hold the objects of one rig: run them one after the"
                                    + " other (@Execution(SAME_THREAD)), take parameters instead of"
                                    + " fields, or leave the lifecycle per method");
                }
            }
            instances.stream()
                    .filter(
                            instance ->
                                    MarkedFields.hasAny(instance, FromRig.class)
                                            || MarkedFields.hasAny(instance, SwappedIn.class))
                    .forEach(instance -> TESTS.put(instance, context.getUniqueId()));
        }
    }

    static void leave(ExtensionContext context) {
        synchronized (TESTS) {
            TESTS.values().removeIf(context.getUniqueId()::equals);
        }
    }
}
