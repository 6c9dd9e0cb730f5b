package dev.patientharbor.rig;

import java.util.List;

/** Makes the core of an object. */
interface CoreMaker {

    /**
     * Makes one.
     *
     * @throws RigException if something that it needs cannot be made
     * @throws Throwable what the user's code threw
     */
    Object make(InstanceStore at) throws Throwable;

    /** The stations whose objects it needs. */
    default List<ObjectStation> asks() {
        return List.of();
    }

    /** Whether what it made last is closed with the rig, if it can be closed. */
    default boolean owns() {
        return true;
    }

    /** Whether all that it makes is of one class: what fits once always does. */
    default boolean isOfOneClass() {
        return false;
    }

    /** Whose code it runs: {@code gullwing.works.DiskBerthLedger}. */
    default String code() {
        return words();
    }

    /** What it is, in the words of an error: {@code the constructor of DiskBerthLedger}. */
    String words();
}
