package dev.patientharbor.straight;

import java.lang.invoke.VarHandle;

/**
 * Where the objects of one rig, or of one scope of it, are kept by their numbers, and which of them
 * are being made. Any thread may ask what is kept; all else is for the one that holds the rig's
 * lock.
 */
public abstract class Bay {

    /**
     * Whoever sees an object in it sees that object whole: a fence stands before each is put there,
     * and after each was taken.
     */
    private final Object[] objects;

    private final boolean[] inTheMaking;

    /**
     * @param size how many objects there may be
     */
    protected Bay(int size) {
        objects = new Object[size];
        inTheMaking = new boolean[size];
    }

    /** The object of that number, or null if it is not made yet. */
    public final Object kept(int number) {
        Object object = objects[number];
        VarHandle.acquireFence();
        return object;
    }

    /**
     * Says that an object is being made.
     *
     * @throws RuntimeException if it is so already, for it asks for itself
     */
    public final void begin(int number) {
        if (inTheMaking[number]) {
            throw askedForItself(number);
        }
        inTheMaking[number] = true;
    }

    /** Keeps the object that was begun; what is kept is not begun again. */
    public final Object keep(int number, Object object) {
        VarHandle.releaseFence();
        objects[number] = object;
        return object;
    }

    /** Says that the object that was begun will not be. */
    protected final void giveUp(int number) {
        inTheMaking[number] = false;
    }

    /** What has that number and has no code written for it; may be null. */
    public abstract Object other(int number);

    /**
     * Gives up an object that was begun.
     *
     * @param argument the number of the argument that was fetched, from 0; as many as there are if
     *     it was the constructor
     * @param thrown what came of it
     * @return what to throw instead
     */
    public abstract RuntimeException failed(int number, int argument, Throwable thrown);

    /** What is thrown if an object asks for itself while it is made. */
    protected abstract RuntimeException askedForItself(int number);
}
