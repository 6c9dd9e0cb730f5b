package dev.patientharbor.straight;

import java.lang.invoke.VarHandle;
import java.util.List;

/**
 * Where the objects of one rig, or of one scope of it, are kept by their numbers, and which of them
 * are being made. Any thread may ask what is kept; all else is for the one that holds the rig's
 * lock.
 *
 * <p>What is written for a plan does not say of each object that it is being made: that would cost
 * more than the object. It can be told from what is kept, and is, as soon as somebody asks for an
 * object while others are made, or something fails.
 */
public abstract class Bay {

    private static final Object IN_THE_MAKING = new Object();
    private static final int NOBODY = -1;

    /**
     * Whoever sees an object in it sees that object whole: a fence stands before each is put there,
     * and after each was taken.
     */
    private final Object[] objects;

    private final StraightCode code;

    /** The object for which the code was called that runs now. */
    private int wanted = NOBODY;

    /** The object whose argument is not made by the code, but fetched or refused now. */
    private int waiting = NOBODY;

    private int argument;

    /**
     * @param size how many objects there may be
     * @param code what was written for the plan; null if nothing was
     */
    protected Bay(int size, StraightCode code) {
        objects = new Object[size];
        this.code = code;
    }

    /** The object of that number, or null if it is not made yet. */
    public final Object kept(int number) {
        Object object = objects[number];
        VarHandle.acquireFence();
        return object == IN_THE_MAKING ? null : object;
    }

    /**
     * Says that an object is being made.
     *
     * @throws RuntimeException if it is so already, for it asks for itself
     */
    protected final void begin(int number) {
        if (wanted != NOBODY) {
            for (int one : way()) {
                objects[one] = IN_THE_MAKING;
            }
        }
        if (objects[number] == IN_THE_MAKING) {
            throw askedForItself(number);
        }
        objects[number] = IN_THE_MAKING;
    }

    /** Keeps the object that was begun; what is kept is not begun again. */
    protected final Object keep(int number, Object object) {
        return keep(objects, number, object);
    }

    /** Says that the object that was begun will not be, unless it is kept. */
    protected final void giveUp(int number) {
        if (objects[number] == IN_THE_MAKING) {
            objects[number] = null;
        }
    }

    /**
     * Makes and keeps the object that was begun, and what it needs, if there is code for it.
     *
     * @return the object, or null if there is no such code
     * @throws RuntimeException what is to be thrown if a constructor fails
     */
    protected final Object straight(int number) {
        if (code == null) {
            return null;
        }
        int outerWanted = wanted;
        int outerWaiting = waiting;
        int outerArgument = argument;
        wanted = number;
        waiting = NOBODY;
        try {
            return code.make(number, this, objects);
        } catch (Throwable thrown) {
            throw failed(thrown);
        } finally {
            wanted = outerWanted;
            waiting = outerWaiting;
            argument = outerArgument;
        }
    }

    /** The objects that the code makes now, each for the one before it. */
    private List<Integer> way() {
        return code.way(wanted, waiting, this);
    }

    private RuntimeException failed(Throwable thrown) {
        List<Integer> way = way();
        int last = way.get(way.size() - 1);
        giveUp(last);
        int at = last == waiting ? argument : code.arguments(last).size();
        RuntimeException failure = failed(last, at, thrown);
        for (int i = way.size() - 2; i >= 0; i--) {
            giveUp(way.get(i));
            at = code.arguments(way.get(i)).indexOf(way.get(i + 1));
            failure = failed(way.get(i), at, failure);
        }
        return failure;
    }

    /** Called by what is written: keeps an object. */
    public static Object keep(Object[] objects, int number, Object object) {
        VarHandle.releaseFence();
        objects[number] = object;
        return object;
    }

    /**
     * Called by what is written: what was found where an object is kept.
     *
     * @param by the object that needs it
     * @param at the number of its argument, from 0
     * @throws RuntimeException if it is being made
     */
    public final Object found(Object object, int number, int by, int at) {
        if (object == IN_THE_MAKING) {
            waiting = by;
            argument = at;
            throw askedForItself(number);
        }
        return object;
    }

    /**
     * Called by what is written: what has that number and has no code written for it; may be null.
     *
     * @param by the object that needs it
     * @param at the number of its argument, from 0
     */
    public final Object other(int number, int by, int at) {
        waiting = by;
        argument = at;
        Object object = other(number);
        waiting = NOBODY;
        return object;
    }

    /** What has that number and has no code written for it; may be null. */
    protected abstract Object other(int number);

    /**
     * What is thrown if an object cannot be made by the code.
     *
     * @param argument the number of the argument that could not be had, from 0; as many as there
     *     are if it was the constructor
     */
    protected abstract RuntimeException failed(int number, int argument, Throwable thrown);

    /** What is thrown if an object asks for itself while it is made. */
    protected abstract RuntimeException askedForItself(int number);
}
