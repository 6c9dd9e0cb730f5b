package dev.patientharbor.rig;

import dev.patientharbor.straight.Bay;

/**
 * A rig as a whole, or one scope of it: where the objects are kept of which it has one. May be used
 * by several threads; each object is made once.
 */
final class Surroundings extends Bay {

    private final Live live;
    private final boolean isScope;
    private final Closing closing;
    private final Memory memory = new Memory();
    private volatile boolean closed;

    Surroundings(Live live, boolean isScope, int size) {
        super(size);
        this.live = live;
        this.isScope = isScope;
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

    /** The one object of a station: made now, unless another thread was faster. */
    Object make(MadeStation station) {
        live.lock().lock();
        try {
            int number = station.number();
            Object known = kept(number);
            if (known != null) {
                return known;
            }
            requireOpen();
            begin(number);
            live.deeper(station, this);
            try {
                Object straight = live.straight().make(number, this);
                return straight != null ? straight : keep(number, station.make(this));
            } finally {
                giveUp(number);
                live.higher();
            }
        } finally {
            live.lock().unlock();
        }
    }

    @Override
    public Object other(int number) {
        return live.stations().numbered(number).get(this);
    }

    @Override
    public RuntimeException failed(int number, int argument, Throwable thrown) {
        giveUp(number);
        return made(number).failed(argument, thrown);
    }

    @Override
    protected RuntimeException askedForItself(int number) {
        return made(number)
                .failure(
                        "it is asked for while it is being made; ask for it later than in a"
                                + " constructor",
                        null);
    }

    private MadeStation made(int number) {
        return (MadeStation) live.stations().numbered(number);
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
