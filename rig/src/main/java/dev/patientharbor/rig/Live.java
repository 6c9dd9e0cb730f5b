package dev.patientharbor.rig;

import dev.patientharbor.standins.CallRecord;
import dev.patientharbor.standins.StandIns;
import java.lang.ref.WeakReference;
import java.util.Collections;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.concurrent.locks.ReentrantLock;

/** What the objects of one rig have in common while they are made and used. */
final class Live {

    /** How deep objects may be made in each other before those further down are made first. */
    private static final int DEEP = 200;

    private final Stations stations;
    private final Surroundings whole;
    private final ReentrantLock lock = new ReentrantLock();
    private final CallRecord calls = new CallRecord();
    private final StandIns standIns;
    private int depth;

    /** The scopes that are open, the last one first. */
    private final Deque<Scope> open = new ConcurrentLinkedDeque<>();

    /**
     * The scope that each thread has opened, once one was; held weakly, for what a thread holds
     * outlives a rig that is forgotten.
     */
    private volatile ThreadLocal<WeakReference<Scope>> current;

    Live(Stations stations) {
        this.stations = stations;
        whole = new Surroundings(this, false, stations.objects());
        standIns = new StandIns(calls, stations::values, stations.makers());
    }

    Stations stations() {
        return stations;
    }

    Surroundings whole() {
        return whole;
    }

    /** One lock for all: no two threads can wait for each other's objects. */
    ReentrantLock lock() {
        return lock;
    }

    CallRecord calls() {
        return calls;
    }

    StandIns standIns() {
        return standIns;
    }

    String profile() {
        return stations.profile();
    }

    /** The innermost scope that this thread has opened and nobody has closed, or the whole. */
    Surroundings here() {
        Scope scope = current();
        while (scope != null && scope.surroundings().isClosed()) {
            scope = scope.outer();
        }
        return scope == null ? whole : scope.surroundings();
    }

    /** The scope that this thread has opened, closed or not, or null. */
    Scope current() {
        WeakReference<Scope> known = current == null ? null : current.get();
        return known == null ? null : known.get();
    }

    void current(Scope scope) {
        synchronized (this) {
            if (current == null) {
                current = new ThreadLocal<>();
            }
        }
        current.set(new WeakReference<>(scope));
    }

    /** The scopes that are open. */
    Deque<Scope> open() {
        return open;
    }

    /** What is in an object that a rig or a scope keeps, from itself to its core. */
    List<Object> layers(Object object, Surroundings home) {
        return home.memory()
                .layers(object)
                .or(() -> whole.memory().layers(object))
                .orElseGet(() -> Collections.singletonList(object));
    }

    /** Goes one object deeper; the lock is held. */
    void deeper(MadeStation station, Surroundings at) {
        depth++;
        if (depth == DEEP) {
            Ahead.make(station, at);
        }
    }

    void higher() {
        depth--;
    }
}
