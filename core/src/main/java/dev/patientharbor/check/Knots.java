package dev.patientharbor.check;

import dev.patientharbor.resolve.Wiring;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;

/**
 * Finds the knots of wirings: the largest groups of slots that all lead to one another (Tarjan
 * 1972), without recursion.
 *
 * <p>Profiles of one set differ in little. If the order in which the slots of an earlier one were
 * finished holds for every arrow of the next one too, that one has no knot either, and one pass
 * over its arrows has shown it.
 */
final class Knots {

    private static final int UNKNOWN = 0;

    /** For each slot when it was finished in an earlier wiring that had no knot, from 1. */
    private int[] order = {};

    /** Each knot of a wiring as its slots. */
    List<List<Integer>> of(Wiring wiring) {
        if (orderHolds(wiring)) {
            return List.of();
        }
        Search search = new Search(wiring, order.length);
        if (search.knots.isEmpty()) {
            order = search.finished;
        }
        return search.knots;
    }

    private boolean orderHolds(Wiring wiring) {
        for (int i = 0; i < wiring.reachedSize(); i++) {
            int from = wiring.reached(i);
            for (int to : wiring.leadsTo(from, false)) {
                if (finished(to) == UNKNOWN || finished(to) >= finished(from)) {
                    return false;
                }
            }
        }
        return wiring.reachedSize() > 0;
    }

    private int finished(int slot) {
        return slot < order.length ? order[slot] : UNKNOWN;
    }

    /** One search through one wiring. */
    private static final class Search {
        private final Wiring wiring;
        private final List<List<Integer>> knots = new ArrayList<>();
        private final int[] index;
        private final int[] low;
        private final int[] finished;
        private final boolean[] onStack;
        private int[] stack = new int[16];
        private int height;
        private int entered;
        private int left;

        Search(Wiring wiring, int least) {
            this.wiring = wiring;
            int size = least;
            for (int i = 0; i < wiring.reachedSize(); i++) {
                size = Math.max(size, wiring.reached(i) + 1);
            }
            index = new int[size];
            low = new int[size];
            finished = new int[size];
            onStack = new boolean[size];
            for (int i = 0; i < wiring.reachedSize(); i++) {
                if (index[wiring.reached(i)] == UNKNOWN) {
                    visit(wiring.reached(i));
                }
            }
        }

        /** A slot on the way, what it leads to, and how far that was followed. */
        private static final class Frame {
            private final int slot;
            private final int[] arrows;
            private int next;

            Frame(int slot, int[] arrows) {
                this.slot = slot;
                this.arrows = arrows;
            }
        }

        private void visit(int start) {
            Deque<Frame> work = new ArrayDeque<>();
            work.push(enter(start));
            while (!work.isEmpty()) {
                Frame top = work.peek();
                if (top.next < top.arrows.length) {
                    int next = top.arrows[top.next++];
                    if (index[next] == UNKNOWN) {
                        work.push(enter(next));
                    } else if (onStack[next]) {
                        low[top.slot] = Math.min(low[top.slot], index[next]);
                    }
                } else {
                    work.pop();
                    if (!work.isEmpty()) {
                        int above = work.peek().slot;
                        low[above] = Math.min(low[above], low[top.slot]);
                    }
                    finished[top.slot] = ++left;
                    if (low[top.slot] == index[top.slot]) {
                        takeKnot(top);
                    }
                }
            }
        }

        private Frame enter(int slot) {
            index[slot] = ++entered;
            low[slot] = entered;
            if (height == stack.length) {
                stack = Arrays.copyOf(stack, 2 * height);
            }
            stack[height++] = slot;
            onStack[slot] = true;
            return new Frame(slot, wiring.leadsTo(slot, false));
        }

        private void takeKnot(Frame root) {
            List<Integer> knot = new ArrayList<>(1);
            int slot;
            do {
                slot = stack[--height];
                onStack[slot] = false;
                knot.add(slot);
            } while (slot != root.slot);
            boolean pointsToItself = Arrays.stream(root.arrows).anyMatch(to -> to == root.slot);
            if (knot.size() > 1 || pointsToItself) {
                knots.add(knot);
            }
        }
    }
}
