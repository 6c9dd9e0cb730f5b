package dev.patientharbor.rig;

import dev.patientharbor.assembly.Assembly;
import dev.patientharbor.profiles.Plan;
import dev.patientharbor.texts.RequiredArgument;
import java.lang.reflect.Type;
import java.util.Optional;

/** Builds rigs. */
public final class Rigs {

    private Rigs() {}

    /**
     * Builds the objects of a plan, with the classes that this thread's context loads. An eager
     * profile makes its shared objects now; all else waits until it is needed.
     *
     * @throws RigException if something cannot be made; what was made is closed
     */
    public static Rig build(Plan plan) {
        return build(plan, Thread.currentThread().getContextClassLoader());
    }

    /**
     * Builds the objects of a plan, with the classes of a loader.
     *
     * @param loader knows the classes of the profile; null for the loader of this class
     * @throws RigException if something cannot be made; what was made is closed
     */
    public static Rig build(Plan plan, ClassLoader loader) {
        return build(RequiredArgument.of(plan, "a plan").assembly(), loader);
    }

    /**
     * Builds the objects of a plan, each behind a spy whose contract is a public interface, so that
     * {@link Rig#usage()} tells the calls of all these. Code that asks an object for its class gets
     * another answer than without.
     *
     * @param loader knows the classes of the profile; null for the loader of this class
     * @throws RigException if something cannot be made; what was made is closed
     */
    public static Rig buildWatched(Plan plan, ClassLoader loader) {
        ClassLoader own = loader == null ? Rigs.class.getClassLoader() : loader;
        Assembly assembly = RequiredArgument.of(plan, "a plan").assembly();
        return build(WatchedAssembly.of(assembly, own), own);
    }

    static Rig build(Assembly assembly, ClassLoader loader) {
        ClassLoader own = loader == null ? Rigs.class.getClassLoader() : loader;
        RigState state = new RigState(stations(assembly, own));
        if (assembly.roster().eager()) {
            makeAll(state);
        }
        return new Rig(state);
    }

    /**
     * Whether a rig of a plan would have something for a type, or for what it carries; nothing is
     * made for it.
     *
     * @param key the key of the slot; empty for the plain one
     */
    public static boolean knows(Plan plan, Type type, Optional<String> key) {
        RequiredArgument.of(type, "type");
        RequiredArgument.of(key, "key");
        ClassLoader loader = Thread.currentThread().getContextClassLoader();
        ClassLoader own = loader == null ? Rigs.class.getClassLoader() : loader;
        Assembly assembly = RequiredArgument.of(plan, "a plan").assembly();
        return new Rig(new RigState(stations(assembly, own))).knows(type, key);
    }

    /**
     * Returns the stations of an assembly; those of the first class loader are kept for the next
     * rig.
     */
    private static StationTable stations(Assembly assembly, ClassLoader loader) {
        if (assembly.prepared() instanceof StationTable known && known.loader() == loader) {
            return known;
        }
        StationTable made = new StationTable(assembly, loader);
        if (assembly.prepared() == null) {
            assembly.prepare(made);
        }
        return made;
    }

    private static void makeAll(RigState state) {
        try {
            for (ObjectStation station : state.stations().fromEntries()) {
                if (station instanceof MadeStation made && made.isMadeAtStart()) {
                    made.get(state.wholeRig());
                }
            }
        } catch (RuntimeException | Error failure) {
            try {
                state.wholeRig().close();
            } catch (RuntimeException more) {
                failure.addSuppressed(more);
            }
            throw failure;
        }
    }
}
