package dev.patientharbor.rig;

import dev.patientharbor.texts.RequiredArgument;
import java.util.concurrent.Callable;

/**
 * A span of time in a rig: of whatever lives in a scope, it has one object. Shared objects are
 * those of the rig. May be used by several threads.
 */
public final class Scope extends ObjectSource implements AutoCloseable {

    private final InstanceStore store;
    private final Scope outer;

    Scope(RigState state) {
        super(state);
        store = InstanceStore.ofScope(state);
        outer = state.scopes().current();
        state.scopes().opened(this);
    }

    InstanceStore surroundings() {
        return store;
    }

    /** The scope that was the current one of the thread before. */
    Scope outer() {
        return outer;
    }

    @Override
    InstanceStore store() {
        return store;
    }

    @Override
    Object handedOutAgain(Class<?> asked) {
        return null;
    }

    /**
     * Runs a piece of code with this as the current scope of its thread.
     *
     * @throws Exception what the code throws
     */
    public <T> T call(Callable<T> code) throws Exception {
        RequiredArgument.of(code, "code");
        store.requireOpen();
        Scope before = live().scopes().current();
        live().scopes().current(this);
        try {
            return code.call();
        } finally {
            live().scopes().current(before);
        }
    }

    /** Runs code that returns nothing in this scope. */
    public void run(Runnable code) {
        RequiredArgument.of(code, "code");
        store.requireOpen();
        Scope before = live().scopes().current();
        live().scopes().current(this);
        try {
            code.run();
        } finally {
            live().scopes().current(before);
        }
    }

    @Override
    public String toString() {
        return "scope of the rig of " + live().profile();
    }

    /**
     * Closes what was made in it, the last first.
     *
     * @throws RigException if something could not be closed, with all failures
     */
    @Override
    public void close() {
        store.requireNothingBeingMade();
        live().scopes().closed(this);
        store.close();
    }
}
