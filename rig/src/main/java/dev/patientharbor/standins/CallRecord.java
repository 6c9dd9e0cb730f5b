package dev.patientharbor.standins;

import java.util.ArrayList;
import java.util.List;

/**
 * The calls that the stand-ins and spies of one rig saw, in the order in which they were entered.
 * May be used by several threads.
 */
public final class CallRecord {

    private final List<Entered> entered = new ArrayList<>();

    /** One call, from its start on. */
    public static final class Entered {
        private final Call start;
        private final int depth;
        private Call end;

        private Entered(Call start, int depth) {
            this.start = start;
            this.depth = depth;
        }

        /** The call, with its answer if it has ended. */
        public synchronized Call call() {
            return end == null ? start : end;
        }

        /** How many recorded calls of the same thread it was made in. */
        public int depth() {
            return depth;
        }

        synchronized void ended(Call whole) {
            end = whole;
        }
    }

    private final ThreadLocal<Integer> depth = ThreadLocal.withInitial(() -> 0);

    Entered enter(Call start) {
        Entered one = new Entered(start, depth.get());
        depth.set(depth.get() + 1);
        synchronized (entered) {
            entered.add(one);
        }
        return one;
    }

    void leave(Entered one, Call whole) {
        depth.set(one.depth);
        one.ended(whole);
    }

    /** A call that some other maker of stand-ins saw. */
    public void add(Call call) {
        leave(enter(call), call);
    }

    /** All calls so far, in the order in which they were entered. */
    public List<Entered> all() {
        synchronized (entered) {
            return List.copyOf(entered);
        }
    }
}
