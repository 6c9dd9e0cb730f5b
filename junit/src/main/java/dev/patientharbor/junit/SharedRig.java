package dev.patientharbor.junit;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;

/** The one rig of all tests where {@link UnderProfile} asks for one; closed after the last. */
final class SharedRig {

    private static final Namespace OURS = Namespace.create(SharedRig.class);

    private final Plan plan;
    private Rig rig;

    private SharedRig(Plan plan) {
        this.plan = plan;
    }

    /** Returns the rig of the class or method where it is asked for. */
    static SharedRig of(TestProfileChoice choice, ExtensionContext context) {
        Plan plan = ProfileSetCache.plan(context, choice.profile());
        return choice.where()
                .getStore(OURS)
                .getOrComputeIfAbsent(
                        SharedRig.class, type -> new SharedRig(plan), SharedRig.class);
    }

    synchronized Rig rig() {
        if (rig == null) {
            rig = Rigs.build(plan);
        }
        return rig;
    }

    /** Closes that of a place that is left. */
    static void close(ExtensionContext left) {
        SharedRig shared = left.getStore(OURS).remove(SharedRig.class, SharedRig.class);
        if (shared != null) {
            synchronized (shared) {
                if (shared.rig != null) {
                    ObservedTests.add(left, shared.plan, shared.rig);
                    shared.rig.close();
                }
            }
        }
    }
}
