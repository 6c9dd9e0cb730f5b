package dev.patientharbor.rig;

import java.util.List;

/** Makes the core of an object. */
interface Maker {

    /**
     * Makes one.
     *
     * @throws RigException if something that it needs cannot be made
     * @throws Throwable what the user's code threw
     */
    Object make(Surroundings at) throws Throwable;

    /** The stations whose objects it needs. */
    default List<Station> asks() {
        return List.of();
    }

    /** Whether what it makes is closed with the rig. */
    default boolean owns() {
        return true;
    }

    /** What it is, in the words of an error: {@code the constructor of DiskBerthLedger}. */
    String words();
}
