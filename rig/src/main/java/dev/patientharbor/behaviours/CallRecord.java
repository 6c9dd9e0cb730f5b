package dev.patientharbor.behaviours;

import dev.patientharbor.standins.Call;
import dev.patientharbor.standins.CallLog;
import dev.patientharbor.terms.Slot;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;

/**
 * The calls that the stand-ins and spies of one rig saw, in the order in which they were entered.
 * May be used by several threads.
 */
public final class CallRecord implements CallLog {

    private final List<EnteredCall> entered;

    /** The call in which each thread is. */
    private final ThreadLocal<EnteredCall> within;

    private final Place place;

    /**
     * Where a call was seen.
     *
     * @param slot the slot whose object was called
     * @param level the area or consumer within which it is; blank for the whole profile
     * @param layer how many layers are outside of whoever saw it
     */
    public record Place(Slot slot, String level, int layer) {}

    /** A new record; calls are added to it {@link #at} their places. */
    public CallRecord() {
        this(new ArrayList<>(), new ThreadLocal<>(), null);
    }

    private CallRecord(List<EnteredCall> entered, ThreadLocal<EnteredCall> within, Place place) {
        this.entered = entered;
        this.within = within;
        this.place = place;
    }

    /** Returns this record for whoever sees calls at one place. */
    public CallRecord at(Place where) {
        return new CallRecord(entered, within, where);
    }

    /** One call, from its start on. */
    public static final class EnteredCall {
        private final Call start;
        private final Place place;
        private final EnteredCall outer;
        private final int depth;
        private Call end;
        private Object token;
        private Supplier<? extends Collection<?>> known;

        private EnteredCall(Call start, Place place, EnteredCall outer) {
            this.start = start;
            this.place = place;
            this.outer = outer;
            depth = outer == null ? 0 : outer.depth + 1;
        }

        /** Where it was seen. */
        public Place place() {
            return place;
        }

        /** The call, with its answer if it has ended. */
        public synchronized Call call() {
            return end == null ? start : end;
        }

        /** The recorded call of the same thread in which it was made, if it was. */
        public Optional<EnteredCall> outer() {
            return Optional.ofNullable(outer);
        }

        /** How many recorded calls of the same thread it was made in. */
        public int depth() {
            return depth;
        }

        private synchronized void countsWhile(
                Object itsToken, Supplier<? extends Collection<?>> all) {
            token = itsToken;
            known = all;
        }

        /**
         * Whether it is a call of a consumer.
         *
         * @param tokens by supplier, what it told before
         */
        private synchronized boolean counts(Map<Object, Set<Object>> tokens) {
            return known == null
                    || tokens.computeIfAbsent(known, key -> identities(known.get()))
                            .contains(token);
        }

        private static Set<Object> identities(Collection<?> all) {
            Set<Object> identities = Collections.newSetFromMap(new IdentityHashMap<>());
            identities.addAll(all);
            return identities;
        }

        synchronized void ended(Call whole) {
            end = whole;
        }
    }

    EnteredCall enter(Call start) {
        EnteredCall call = new EnteredCall(start, place, within.get());
        within.set(call);
        synchronized (entered) {
            entered.add(call);
        }
        return call;
    }

    void leave(EnteredCall call, Call whole) {
        if (call.outer == null) {
            within.remove();
        } else {
            within.set(call.outer);
        }
        call.ended(whole);
    }

    @Override
    public void add(Call call) {
        leave(enter(call), call);
    }

    @Override
    public void add(Call call, Object token, Supplier<? extends Collection<?>> known) {
        EnteredCall one = enter(call);
        one.countsWhile(token, known);
        leave(one, call);
    }

    /** All calls so far, in the order in which they were entered. */
    public List<EnteredCall> all() {
        List<EnteredCall> all;
        synchronized (entered) {
            all = List.copyOf(entered);
        }
        Map<Object, Set<Object>> known = new IdentityHashMap<>();
        return all.stream().filter(call -> call.counts(known)).toList();
    }
}
