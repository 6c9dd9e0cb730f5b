package dev.patientharbor.rig;

import java.util.concurrent.atomic.AtomicReferenceArray;

/**
 * A rig as a whole, or one scope of it: where the objects are kept of which it has one. May be used
 * by several threads; each object is made once.
 */
final class Surroundings {

    private final Live live;
    private final boolean isScope;
    private final AtomicReferenceArray<Object> objects;
    private final boolean[] inTheMaking;
    private final Closing closing;
    private final Memory memory = new Memory();
    private volatile boolean closed;

    Surroundings(Live live, boolean isScope, int size) {
        this.live = live;
        this.isScope = isScope;
        objects = new AtomicReferenceArray<>(size);
        inTheMaking = new boolean[size];
        closing = new Closing(live.stations().endMarks());
    }

    Live live() {
        return live;
    }

    /** The rig as a whole. */
    Surroundings whole() {
        return isScope ? live.whole() : this;
    }

    /**
     * The scope in which something is asked for.
     *
     * @throws RigException if there is none
     */
    Surroundings scope(MadeStation asked) {
        Surroundings scope = isScope ? this : live.here();
        if (!scope.isScope) {
            throw asked.failure(
                    "it lives in a scope, and none is open; open one with rig.openScope()", null);
        }
        return scope;
    }

    /** Where something is asked for that is made later: a scope stays, the rig looks around. */
    Surroundings whenAskedLater() {
        return isScope ? this : live.here();
    }

    /** The object of a station that is there already, or null. */
    Object made(int number) {
        return objects.getAcquire(number);
    }

    /** The one object of a station: made now, unless another thread was faster. */
    Object make(MadeStation station) {
        live.lock().lock();
        try {
            int number = station.number();
            Object known = objects.getPlain(number);
            if (known != null) {
                return known;
            }
            if (inTheMaking[number]) {
                throw station.failure(
                        "it is asked for while it is being made; ask for it later than in a"
                                + " constructor",
                        null);
            }
            inTheMaking[number] = true;
            live.deeper(station, this);
            try {
                Object object = station.make(this);
                objects.setRelease(number, object);
                return object;
            } finally {
                inTheMaking[number] = false;
                live.higher();
            }
        } finally {
            live.lock().unlock();
        }
    }

    Memory memory() {
        return memory;
    }

    Closing closing() {
        return closing;
    }

    boolean isClosed() {
        return closed;
    }

    /**
     * @throws IllegalStateException if it is closed
     */
    void requireOpen() {
        if (closed) {
            throw new IllegalStateException(
                    (isScope ? "this scope of " : "the rig of ") + live.profile() + " is closed");
        }
    }

    /** Closes what was made in it, the last first; the second time nothing happens. */
    void close() {
        live.lock().lock();
        try {
            if (!closed) {
                closed = true;
                closing.close(live.profile());
            }
        } finally {
            live.lock().unlock();
        }
    }
}
