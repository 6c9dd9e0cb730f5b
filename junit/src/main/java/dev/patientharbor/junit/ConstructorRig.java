package dev.patientharbor.junit;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;

/**
 * The rig of which the constructor of a test class was given something: made before there is a test
 * to have it, and handed over to the next one that this thread begins.
 */
final class ConstructorRig {

    private static final Namespace OURS = Namespace.create(ConstructorRig.class);

    /** One on its way, by the thread that makes test instances. */
    private static final ThreadLocal<ConstructorRig> PENDING = new ThreadLocal<>();

    private final Plan plan;
    private final Rig rig;

    private ConstructorRig(Plan plan) {
        this.plan = plan;
        rig = Rigs.build(plan);
    }

    /**
     * The rig for a constructor; one for that of a nested class and that of the class around it.
     */
    static Rig made(ExtensionContext context, Plan plan) {
        ConstructorRig pending = PENDING.get();
        if (pending == null || pending.plan != plan) {
            pending = new ConstructorRig(plan);
            PENDING.set(pending);
            rigs(context).add(pending.rig);
        }
        return pending.rig;
    }

    /** The rig that was made for the instance of a test, if one was. */
    static Optional<Rig> taken(ExtensionContext context, Plan plan) {
        ConstructorRig pending = PENDING.get();
        PENDING.remove();
        if (pending != null && pending.plan != plan) {
            throw new IllegalStateException(
                    "the constructor of "
                            + context.getRequiredTestClass().getName()
                            + " was given something of the profile of its class, and "
                            + context.getDisplayName()
                            + " is under another one: take it as a parameter of the test");
        }
        Optional<Rig> rig = Optional.ofNullable(pending).map(waiting -> waiting.rig);
        rig.ifPresent(made -> context.getStore(OURS).put(Rig.class, new Taken(plan, made)));
        return rig;
    }

    /** In a wrapping that the store does not close. */
    private record Taken(Plan plan, Rig rig) {}

    /** Closes that of a test that has ended. */
    static void close(ExtensionContext test) {
        Taken taken = test.getStore(OURS).remove(Rig.class, Taken.class);
        if (taken != null) {
            ObservedTests.add(test, taken.plan(), taken.rig());
            taken.rig().close();
        }
    }

    /** Closes those of a class of which no test came; closing twice does no harm. */
    static void closeAll(ExtensionContext context) {
        rigs(context).forEach(Rig::close);
    }

    @SuppressWarnings("unchecked")
    private static Set<Rig> rigs(ExtensionContext context) {
        return (Set<Rig>)
                context.getStore(OURS)
                        .getOrComputeIfAbsent("rigs", key -> ConcurrentHashMap.<Rig>newKeySet());
    }
}
