package dev.patientharbor.rig;

import dev.patientharbor.behaviours.CallRecord;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicIntegerArray;

/**
 * What most rigs never need: scopes, calls that were seen, objects that are not kept, static
 * members. May be used by several threads.
 */
final class RigExtras {

    private final ScopeTable scopes = new ScopeTable();
    private final CallRecord calls = new CallRecord();
    private final Set<Class<?>> filledStatics = ConcurrentHashMap.newKeySet();
    private final AtomicIntegerArray notKept;

    /**
     * @param objects how many objects there may be
     */
    RigExtras(int objects) {
        notKept = new AtomicIntegerArray(objects);
    }

    ScopeTable scopes() {
        return scopes;
    }

    /** The calls that stand-ins and spies saw. */
    CallRecord calls() {
        return calls;
    }

    /** The classes whose static members were filled. */
    Set<Class<?>> filledStatics() {
        return filledStatics;
    }

    /** By number, how many objects were made that the rig as a whole does not keep. */
    AtomicIntegerArray notKept() {
        return notKept;
    }
}
