package dev.patientharbor.rig;

import java.lang.invoke.VarHandle;

/**
 * The objects of one rig, or of one scope of it, by their numbers, and which of them are being
 * made. Any thread may read what is kept; whoever writes holds the lock of the rig.
 */
final class KeptObjects {

    private static final Object IN_THE_MAKING = new Object();

    /**
     * Whoever sees an object in it sees that object whole: a fence stands before each is put there,
     * and after each was taken.
     */
    private final Object[] objects;

    KeptObjects(int size) {
        objects = new Object[size];
    }

    /** The object of that number, or null if it is not made yet. */
    Object get(int number) {
        Object object = objects[number];
        VarHandle.acquireFence();
        return object == IN_THE_MAKING ? null : object;
    }

    /** Notes that an object is being made; returns false if it is being made already. */
    boolean begin(int number) {
        if (objects[number] == IN_THE_MAKING) {
            return false;
        }
        objects[number] = IN_THE_MAKING;
        return true;
    }

    /** Keeps the object that was begun. */
    Object keep(int number, Object object) {
        VarHandle.releaseFence();
        objects[number] = object;
        return object;
    }

    /** Notes that the object that was begun will not be, unless it is kept. */
    void giveUp(int number) {
        if (objects[number] == IN_THE_MAKING) {
            objects[number] = null;
        }
    }
}
