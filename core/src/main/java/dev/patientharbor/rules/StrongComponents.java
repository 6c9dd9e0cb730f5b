package dev.patientharbor.rules;

import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/**
 * Finds the knots of wirings: the largest groups of slots that all lead to one another (Tarjan
 * 1972), without recursion.
 *
 * <p>The profiles of a set differ in little. So the arrows of all of them are searched together
 * first: a knot of one profile lies within a knot of all. There seldom is one, and then only its
 * slots are searched again, profile by profile.
 */
final class StrongComponents {

    private static final int UNKNOWN = 0;
    private static final int[] NOWHERE = {};

    /** The slots that are in a knot of all profiles together. */
    private final BitSet suspicious = new BitSet();

    StrongComponents(Collection<Wiring> wirings) {
        int[][] arrows = new int[0][];
        Optional<Wiring> plain = Optional.empty();
        for (Wiring wiring : wirings) {
            // Where nothing is said for areas or consumers, equal outcomes have equal arrows.
            boolean isPlain = wiring.profile().statesWholeProfileOnly();
            int[] places = wiring.seatsUnlike(isPlain ? plain : Optional.empty());
            arrows = add(wiring, places, arrows);
            if (isPlain && plain.isEmpty()) {
                plain = Optional.of(wiring);
            }
        }
        int[][] all = arrows;
        BitSet every = new BitSet();
        for (int slot = 0; slot < all.length; slot++) {
            every.set(slot, all[slot] != null);
        }
        Search search =
                new Search(all.length, every, slot -> all[slot] == null ? NOWHERE : all[slot]);
        search.knots.forEach(knot -> knot.forEach(suspicious::set));
    }

    private static int[][] add(Wiring wiring, int[] places, int[][] known) {
        int[][] arrows = known;
        for (int place : places) {
            int seat = wiring.reached(place);
            if (seat >= arrows.length) {
                arrows = Arrays.copyOf(arrows, seat + seat / 2 + 16);
            }
            arrows[seat] = joined(arrows[seat], wiring.leadsTo(seat, false));
        }
        return arrows;
    }

    private static int[] joined(int[] known, int[] more) {
        if (known == null || more.length == 0 || Arrays.equals(known, more)) {
            return known == null ? more : known;
        }
        int[] all = Arrays.copyOf(known, known.length + more.length);
        System.arraycopy(more, 0, all, known.length, more.length);
        return all;
    }

    /** Each knot of a wiring as its slots. */
    List<List<Integer>> of(Wiring wiring) {
        if (suspicious.isEmpty()) {
            return List.of();
        }
        BitSet reached = new BitSet();
        for (int i = 0; i < wiring.reachedSize(); i++) {
            int slot = wiring.reached(i);
            reached.set(slot, suspicious.get(slot));
        }
        return new Search(
                        reached.length(),
                        reached,
                        seat ->
                                Arrays.stream(wiring.leadsTo(seat, false))
                                        .filter(reached::get)
                                        .toArray())
                .knots;
    }

    /** What a slot leads to. */
    private interface Arrows {
        int[] from(int slot);
    }

    /** One search. */
    private static final class Search {
        private final Arrows arrows;
        private final List<List<Integer>> knots = new ArrayList<>();
        private final int[] index;
        private final int[] low;
        private final boolean[] onStack;
        private int[] stack = new int[16];

        /** The slots on the way, how many arrows of each were followed, and the arrows. */
        private int[] way = new int[16];

        private int[] followed = new int[16];
        private int[][] leads = new int[16][];
        private int depth;
        private int height;
        private int entered;

        Search(int size, BitSet starts, Arrows arrows) {
            this.arrows = arrows;
            index = new int[size];
            low = new int[size];
            onStack = new boolean[size];
            for (int slot = starts.nextSetBit(0); slot >= 0; slot = starts.nextSetBit(slot + 1)) {
                if (index[slot] == UNKNOWN) {
                    visit(slot);
                }
            }
        }

        private void visit(int start) {
            enter(start);
            while (depth > 0) {
                int slot = way[depth - 1];
                int[] ahead = leads[depth - 1];
                if (followed[depth - 1] < ahead.length) {
                    int next = ahead[followed[depth - 1]++];
                    if (index[next] == UNKNOWN) {
                        enter(next);
                    } else if (onStack[next]) {
                        low[slot] = Math.min(low[slot], index[next]);
                    }
                } else {
                    leads[--depth] = null;
                    if (depth > 0) {
                        int above = way[depth - 1];
                        low[above] = Math.min(low[above], low[slot]);
                    }
                    if (low[slot] == index[slot]) {
                        takeKnot(slot, ahead);
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
                leads = Arrays.copyOf(leads, 2 * depth);
            }
            way[depth] = slot;
            followed[depth] = 0;
            leads[depth++] = arrows.from(slot);
        }

        private void takeKnot(int root, int[] ahead) {
            if (stack[height - 1] == root && !pointsTo(root, ahead)) {
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

        private static boolean pointsTo(int root, int[] ahead) {
            for (int to : ahead) {
                if (to == root) {
                    return true;
                }
            }
            return false;
        }
    }
}
