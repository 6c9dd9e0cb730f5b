package dev.patientharbor.check;

import dev.patientharbor.resolve.Wiring;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Finds the knots of a wiring: the largest groups of slots that all lead to one another (Tarjan
 * 1972), without recursion.
 */
final class Knots {

    private final List<int[]> arrows = new ArrayList<>();
    private final Map<Integer, Integer> positions = new HashMap<>();
    private final List<Integer> slots;
    private final int[] index;
    private final int[] low;
    private final BitSet onStack = new BitSet();
    private final Deque<Integer> stack = new ArrayDeque<>();
    private final List<List<Integer>> knots = new ArrayList<>();
    private int counter;

    private Knots(Wiring wiring) {
        slots = wiring.reached();
        for (int i = 0; i < slots.size(); i++) {
            positions.put(slots.get(i), i);
        }
        for (int slot : slots) {
            List<Integer> out = new ArrayList<>();
            wiring.outcome(slot).next().ifPresent(out::add);
            wiring.eachNeed(slot, (consumer, need) -> out.add(need.slot()));
            arrows.add(out.stream().mapToInt(positions::get).toArray());
        }
        index = new int[slots.size()];
        low = new int[slots.size()];
    }

    /** Each knot as its slots. */
    static List<List<Integer>> of(Wiring wiring) {
        Knots knots = new Knots(wiring);
        for (int i = 0; i < knots.slots.size(); i++) {
            if (knots.index[i] == 0) {
                knots.visit(i);
            }
        }
        return knots.knots;
    }

    private void visit(int start) {
        Deque<int[]> work = new ArrayDeque<>();
        enter(start, work);
        while (!work.isEmpty()) {
            int[] top = work.peek();
            int at = top[0];
            if (top[1] < arrows.get(at).length) {
                int next = arrows.get(at)[top[1]++];
                if (index[next] == 0) {
                    enter(next, work);
                } else if (onStack.get(next)) {
                    low[at] = Math.min(low[at], index[next]);
                }
            } else {
                work.pop();
                if (!work.isEmpty()) {
                    low[work.peek()[0]] = Math.min(low[work.peek()[0]], low[at]);
                }
                if (low[at] == index[at]) {
                    takeKnot(at);
                }
            }
        }
    }

    private void enter(int node, Deque<int[]> work) {
        index[node] = ++counter;
        low[node] = counter;
        stack.push(node);
        onStack.set(node);
        work.push(new int[] {node, 0});
    }

    private void takeKnot(int root) {
        List<Integer> knot = new ArrayList<>();
        int node;
        do {
            node = stack.pop();
            onStack.clear(node);
            knot.add(slots.get(node));
        } while (node != root);
        boolean pointsToItself =
                java.util.Arrays.stream(arrows.get(root)).anyMatch(next -> next == root);
        if (knot.size() > 1 || pointsToItself) {
            knots.add(knot);
        }
    }
}
