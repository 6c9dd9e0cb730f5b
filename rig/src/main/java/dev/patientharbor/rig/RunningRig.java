package dev.patientharbor.rig;

import dev.patientharbor.texts.RequiredArgument;

/**
 * The rig of a program that was started by {@code patient-harbor run}: its main class takes from it
 * what it begins with. May be used by several threads.
 */
public final class RunningRig {

    private static volatile Rig running;

    private RunningRig() {}

    /**
     * Returns the rig of the profile under which this program was started. It is closed when the
     * program has ended.
     *
     * @throws IllegalStateException if it was started otherwise
     */
    public static Rig get() {
        Rig rig = running;
        if (rig == null) {
            throw new IllegalStateException(
                    "this program was not started under a profile: patient-harbor run does that;"
                            + " elsewhere build a rig by ProfileFiles.read(file).plan(profile) and"
                            + " Rigs.build");
        }
        return rig;
    }

    /** Has this rig be the one of the program, before it starts: what {@code run} does. */
    public static void begin(Rig rig) {
        running = RequiredArgument.of(rig, "a rig");
    }
}
