package dev.patientharbor.rig;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * A rig as a whole, or one scope of it: where the objects are kept of which it has one. May be used
 * by several threads; each object is made once.
 */
final class InstanceStore {

    private final RigState state;
    private final boolean isScope;
    private final KeptObjects objects;

    /** How many objects are being made in it; the lock is held by whoever reads or writes it. */
    private int making;

    /** The memory of its objects, made when the first is remembered. */
    private volatile ObjectMemory memory;

    private volatile boolean closed;

    /** The shared objects that were handed out, by the class that was asked for. */
    private final Map<Class<?>, Object> handedOut = new ConcurrentHashMap<>();

    private InstanceStore(RigState state, boolean isScope) {
        this.state = state;
        this.isScope = isScope;
        objects = new KeptObjects(state.stations().objects());
    }

    /** A rig as a whole. */
    static InstanceStore ofRig(RigState state) {
        return new InstanceStore(state, false);
    }

    /** One scope of a rig. */
    static InstanceStore ofScope(RigState state) {
        return new InstanceStore(state, true);
    }

    RigState live() {
        return state;
    }

    /** The rig as a whole. */
    InstanceStore wholeRig() {
        return isScope ? state.wholeRig() : this;
    }

    /**
     * The scope in which something is asked for.
     *
     * @throws RigException if there is none
     */
    InstanceStore scope(MadeStation asked) {
        InstanceStore scope = isScope ? this : state.here();
        if (!scope.isScope) {
            throw asked.failure(
                    "it lives in a scope, and none is open; open one with rig.openScope()", null);
        }
        return scope;
    }

    /** Where something is asked for that is made later: a scope stays, the rig looks around. */
    InstanceStore whenAskedLater() {
        return isScope ? this : state.here();
    }

    /** The object of that number, or null if it is not made yet. */
    Object kept(int number) {
        return objects.get(number);
    }

    /** The one object of a station: made now, unless another thread was faster. */
    Object make(MadeStation station) {
        if (state.lock().isHeldByCurrentThread()) {
            return makeNow(station);
        }
        state.lock().lock();
        try {
            Object known = kept(station.number());
            if (known != null) {
                return known;
            }
            requireOpen();
            return makeNow(station);
        } finally {
            state.lock().unlock();
        }
    }

    private Object makeNow(MadeStation station) {
        int number = station.number();
        if (!objects.begin(number)) {
            throw station.failure(
                    "it is asked for while it is being made; ask for it later than in a"
                            + " constructor",
                    null);
        }
        state.deeper(station, this);
        making++;
        try {
            return objects.keep(number, station.make(this));
        } finally {
            objects.giveUp(number);
            making--;
            state.higher();
        }
    }

    /** What is remembered of its objects. */
    ObjectMemory memory() {
        ObjectMemory known = memory;
        if (known == null) {
            synchronized (this) {
                known = memory == null ? new ObjectMemory(state.stations().endMarks()) : memory;
                memory = known;
            }
        }
        return known;
    }

    /**
     * Closes an object with itself, if it can be closed.
     *
     * @throws IllegalStateException if another thread has closed it meanwhile, and so this object
     */
    void closeAtTheEnd(Object object) {
        if (state.stations().endMarks().ends(object.getClass())) {
            memory().closing().add(object);
            if (isClosed() && !state.lock().isHeldByCurrentThread()) {
                memory().closing().close(state.profile());
                requireOpen();
            }
        }
    }

    /**
     * The shared object that was handed out for a class before; null if none was, or once closed.
     */
    Object handedOut(Class<?> asked) {
        return closed ? null : handedOut.get(asked);
    }

    /** Notes a shared object that was handed out. */
    void handedOut(Class<?> asked, Object object) {
        handedOut.put(asked, object);
    }

    boolean isClosed() {
        return closed;
    }

    /**
     * @throws IllegalStateException if it is closed
     */
    void requireOpen() {
        if (isClosed()) {
            throw closed(null);
        }
    }

    /**
     * Refuses what is made without the lock once the rig is closed. Whoever holds it goes on:
     * closing waits for that, and closes what was made.
     *
     * @param thrown what came of it, if something did; kept as the cause
     * @throws IllegalStateException if it is closed
     */
    void requireOpenOrLock(Throwable thrown) {
        if (isClosed() && !state.lock().isHeldByCurrentThread()) {
            throw closed(thrown);
        }
    }

    private IllegalStateException closed(Throwable thrown) {
        return new IllegalStateException(words() + " is closed", thrown);
    }

    /**
     * @throws IllegalStateException if this thread is making an object in it: closed now, that one
     *     would never be
     */
    void requireNothingBeingMade() {
        if (state.lock().isHeldByCurrentThread() && (isScope ? making > 0 : state.isMaking())) {
            throw new IllegalStateException(
                    words()
                            + " cannot be closed by an object that is being made in it; close it"
                            + " when that is done");
        }
    }

    private String words() {
        return (isScope ? "this scope of " : "the rig of ") + state.profile();
    }

    /**
     * Closes what was made in it, the last first; the second time nothing happens. Where nothing
     * must be closed and nobody makes anything the lock is not taken: whoever takes it from now on
     * sees that all is closed.
     */
    void close() {
        closed = true;
        if (!state.lock().isLocked() && memory == null) {
            return;
        }
        state.lock().lock();
        try {
            closed = true;
            if (memory != null) {
                memory.closing().close(state.profile());
            }
        } finally {
            state.lock().unlock();
        }
    }
}
