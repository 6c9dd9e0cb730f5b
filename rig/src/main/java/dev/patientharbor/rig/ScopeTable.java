package dev.patientharbor.rig;

import java.lang.ref.WeakReference;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.ConcurrentLinkedDeque;

/** The scopes of one rig, from the first one on. May be used by several threads. */
final class ScopeTable {

    /** The open scopes, the last one first. */
    private final Deque<Scope> open = new ConcurrentLinkedDeque<>();

    /**
     * The scope that each thread has opened; held weakly, for what a thread holds outlives a rig
     * that is forgotten.
     */
    private final ThreadLocal<WeakReference<Scope>> current = new ThreadLocal<>();

    /** The innermost scope that this thread has opened and nobody has closed, or null. */
    Scope innermost() {
        Scope scope = current();
        while (scope != null && scope.surroundings().isClosed()) {
            scope = scope.outer();
        }
        return scope;
    }

    /** The scope that this thread has opened, closed or not, or null. */
    Scope current() {
        WeakReference<Scope> known = current.get();
        return known == null ? null : known.get();
    }

    void current(Scope scope) {
        current.set(new WeakReference<>(scope));
    }

    void opened(Scope scope) {
        open.addFirst(scope);
    }

    void closed(Scope scope) {
        open.remove(scope);
    }

    /** Those that are open, the last one first. */
    List<Scope> open() {
        return List.copyOf(open);
    }
}
