package dev.patientharbor.rig;

import java.util.ArrayDeque;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;

/** Chains of objects that are made in each other, which may be too long for the stack. */
final class ConstructionChains {

    /** How deep objects may be made in each other before those further down are made first. */
    static final int DEEP = 200;

    private ConstructionChains() {}

    /** Makes what an object leads to before itself, the furthest first: that needs no stack. */
    static void makeAhead(MadeStation wanted, InstanceStore at) {
        for (ObjectStation station : furthestFirst(List.of(wanted))) {
            if (station != wanted && station instanceof MadeStation made && made.isShared()) {
                made.get(at);
            }
        }
    }

    private static Deque<ObjectStation> furthestFirst(List<? extends ObjectStation> from) {
        Set<ObjectStation> seen = Collections.newSetFromMap(new IdentityHashMap<>());
        Deque<ObjectStation> open = new ArrayDeque<>(from);
        Deque<ObjectStation> inOrder = new ArrayDeque<>();
        while (!open.isEmpty()) {
            ObjectStation next = open.peek();
            if (seen.add(next)) {
                next.asks().stream().filter(station -> !seen.contains(station)).forEach(open::push);
            } else {
                open.pop();
                inOrder.add(next);
            }
        }
        return inOrder;
    }
}
