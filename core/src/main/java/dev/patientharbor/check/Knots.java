package dev.patientharbor.check;

import dev.patientharbor.resolve.Wiring;
import java.util.ArrayList;
import java.util.Arrays;
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

        /** The slots on the way, how many arrows of each were followed, and the arrows. */
        private int[] way = new int[16];

        private int[] followed = new int[16];
        private int[][] arrows = new int[16][];
        private int depth;
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

        private void visit(int start) {
            enter(start);
            while (depth > 0) {
                int slot = way[depth - 1];
                int[] leads = arrows[depth - 1];
                if (followed[depth - 1] < leads.length) {
                    int next = leads[followed[depth - 1]++];
                    if (index[next] == UNKNOWN) {
                        enter(next);
                    } else if (onStack[next]) {
                        low[slot] = Math.min(low[slot], index[next]);
                    }
                } else {
                    arrows[--depth] = null;
                    if (depth > 0) {
                        int above = way[depth - 1];
                        low[above] = Math.min(low[above], low[slot]);
                    }
                    finished[slot] = ++left;
                    if (low[slot] == index[slot]) {
                        takeKnot(slot, leads);
                    }
                }
            }
        }

        private void enter(int slot) {
            index[slot] = ++entered;
            low[slot] = entered;
            if (height == stack.length) {
                stack = Arrays.copyOf(stack, 2 * height);
            }
            stack[height++] = slot;
            onStack[slot] = true;
            if (depth == way.length) {
                way = Arrays.copyOf(way, 2 * depth);
                followed = Arrays.copyOf(followed, 2 * depth);
                arrows = Arrays.copyOf(arrows, 2 * depth);
            }
            way[depth] = slot;
            followed[depth] = 0;
            arrows[depth++] = wiring.leadsTo(slot, false);
        }

        private void takeKnot(int root, int[] leads) {
            if (stack[height - 1] == root && !pointsToItself(root, leads)) {
                onStack[stack[--height]] = false; // the usual case: one that is in no knot
                return;
            }
            List<Integer> knot = new ArrayList<>();
            int slot;
            do {
                slot = stack[--height];
                onStack[slot] = false;
                knot.add(slot);
            } while (slot != root);
            knots.add(knot);
        }

        private static boolean pointsToItself(int root, int[] leads) {
            for (int to : leads) {
                if (to == root) {
                    return true;
                }
            }
            return false;
        }
    }
}
