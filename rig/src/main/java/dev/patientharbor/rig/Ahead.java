package dev.patientharbor.rig;

import java.util.ArrayDeque;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.Set;

/** Makes what an object leads to before itself, the furthest first: a long chain needs no stack. */
final class Ahead {

    private Ahead() {}

    static void make(MadeStation wanted, Surroundings at) {
        Set<Station> seen = Collections.newSetFromMap(new IdentityHashMap<>());
        Deque<Station> open = new ArrayDeque<>();
        Deque<Station> inOrder = new ArrayDeque<>();
        open.push(wanted);
        while (!open.isEmpty()) {
            Station next = open.peek();
            if (seen.add(next)) {
                next.asks().stream().filter(one -> !seen.contains(one)).forEach(open::push);
            } else {
                open.pop();
                inOrder.add(next);
            }
        }
        for (Station one : inOrder) {
            if (one != wanted && one instanceof MadeStation made && made.isShared()) {
                made.get(at);
            }
        }
    }
}
