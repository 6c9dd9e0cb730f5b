package dev.patientharbor.inherited;

import dev.patientharbor.model.Profile;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Queue;

/** Who extends whom: an order with parents first, what is unknown, and which circles were cut. */
public final class ProfileHierarchy {

    private final List<Profile> profiles;
    private final List<List<Integer>> parents = new ArrayList<>();
    private final BitSet[] ancestors;
    private final List<Integer> order = new ArrayList<>();
    private final int[] placeInOrder;
    private final Map<Integer, List<WrittenName>> unknownParents = new HashMap<>();
    private final Map<Integer, List<List<Integer>>> cycles = new HashMap<>();
    private int firstLeft;

    /** The line that was asked for last: one profile is worked out after another. */
    private volatile ProfileLine lastLine = new ProfileLine(-1, Map.of());

    /** The places of all that a profile extends, and its own. */
    private record ProfileLine(int profile, Map<Integer, Integer> places) {}

    ProfileHierarchy(List<Profile> profiles) {
        this.profiles = profiles;
        ancestors = new BitSet[profiles.size()];
        Map<String, Integer> byName = new HashMap<>();
        for (int i = 0; i < profiles.size(); i++) {
            byName.put(profiles.get(i).name(), i);
        }
        for (int i = 0; i < profiles.size(); i++) {
            List<Integer> known = new ArrayList<>();
            for (WrittenName parent : profiles.get(i).parents()) {
                Integer index = byName.get(parent.text());
                if (index == null) {
                    unknownParents.computeIfAbsent(i, child -> new ArrayList<>()).add(parent);
                } else if (!known.contains(index)) {
                    known.add(index);
                }
            }
            parents.add(known);
        }
        putInOrder();
        placeInOrder = new int[order.size()];
        for (int i = 0; i < order.size(); i++) {
            placeInOrder[order.get(i)] = i;
        }
    }

    /** The numbers of the profiles, parents before children. */
    List<Integer> order() {
        return order;
    }

    /** Some profiles and all that they extend, parents before children. */
    public List<Integer> inOrder(BitSet some) {
        BitSet all = (BitSet) some.clone();
        some.stream().forEach(child -> all.or(ancestors[child]));
        List<Integer> inOrder = new ArrayList<>();
        for (int i = all.nextSetBit(0); i >= 0; i = all.nextSetBit(i + 1)) {
            inOrder.add(i);
        }
        inOrder.sort(Comparator.comparing(profile -> placeInOrder[profile]));
        return inOrder;
    }

    /** Lists by profile which of some profiles are that one or extend it, directly or not. */
    public Map<Integer, BitSet> heirs(BitSet some) {
        Map<Integer, BitSet> heirs = new HashMap<>();
        List<Integer> inOrder = inOrder(some);
        for (int i = inOrder.size() - 1; i >= 0; i--) {
            int profile = inOrder.get(i);
            BitSet own = heirs.computeIfAbsent(profile, key -> new BitSet());
            own.set(profile, some.get(profile));
            for (int parent : parents.get(profile)) {
                heirs.computeIfAbsent(parent, key -> new BitSet()).or(own);
            }
        }
        return heirs;
    }

    /** A profile and all that it extends. */
    BitSet lineage(int profile) {
        BitSet all = (BitSet) ancestors[profile].clone();
        all.set(profile);
        return all;
    }

    /** The parents of a profile that exist, in order, those left out that would close a circle. */
    public List<Integer> parents(int profile) {
        return parents.get(profile);
    }

    /** All that a profile extends, directly or not. */
    BitSet ancestors(int profile) {
        return ancestors[profile];
    }

    /**
     * The place of a profile in the line of another one: all that this one extends, each behind its
     * own parents, and itself at the end.
     */
    int placeInLine(int profile, int other) {
        ProfileLine known = lastLine;
        if (known.profile() != profile) {
            known = new ProfileLine(profile, line(profile));
            lastLine = known;
        }
        return known.places().get(other);
    }

    /** A profile and all that it extends, in the order in which they are looked at. */
    List<Integer> nearestFirst(int profile) {
        Map<Integer, Integer> places = line(profile);
        return places.keySet().stream()
                .sorted(Comparator.comparing(places::get).reversed())
                .toList();
    }

    private Map<Integer, Integer> line(int profile) {
        Map<Integer, Integer> places = new HashMap<>();
        Deque<Integer> open = new ArrayDeque<>();
        open.push(profile);
        while (!open.isEmpty()) {
            int next = open.peek();
            List<Integer> left =
                    parents.get(next).stream()
                            .filter(parent -> !places.containsKey(parent))
                            .toList();
            if (left.isEmpty()) {
                open.pop();
                places.putIfAbsent(next, places.size());
            } else {
                open.push(left.get(0));
            }
        }
        return places;
    }

    List<WrittenName> unknownParents(int profile) {
        return unknownParents.getOrDefault(profile, List.of());
    }

    /**
     * The circles of which a profile is the one that stands first, each as the numbers of its
     * profiles, each extending the next, that one first.
     */
    public List<List<Integer>> cycles(int first) {
        return cycles.getOrDefault(first, List.of());
    }

    private void putInOrder() {
        List<List<Integer>> children = new ArrayList<>();
        int[] waitingFor = new int[profiles.size()];
        for (int i = 0; i < profiles.size(); i++) {
            children.add(new ArrayList<>());
        }
        Queue<Integer> ready = new ArrayDeque<>();
        for (int i = 0; i < profiles.size(); i++) {
            waitingFor[i] = parents.get(i).size();
            for (int parent : parents.get(i)) {
                children.get(parent).add(i);
            }
            if (waitingFor[i] == 0) {
                ready.add(i);
            }
        }
        while (order.size() < profiles.size()) {
            while (ready.isEmpty()) {
                cutCycle(children, waitingFor, ready);
            }
            int next = ready.remove();
            place(next);
            for (int child : children.get(next)) {
                if (--waitingFor[child] == 0) {
                    ready.add(child);
                }
            }
        }
    }

    private void place(int profile) {
        order.add(profile);
        BitSet above = new BitSet();
        for (int parent : parents.get(profile)) {
            above.set(parent);
            above.or(ancestors[parent]);
        }
        ancestors[profile] = above;
    }

    private void cutCycle(List<List<Integer>> children, int[] waitingFor, Queue<Integer> ready) {
        while (ancestors[firstLeft] != null) {
            firstLeft++;
        }
        List<Integer> path = new ArrayList<>();
        BitSet onPath = new BitSet();
        int at = firstLeft;
        while (!onPath.get(at)) {
            onPath.set(at);
            path.add(at);
            at =
                    parents.get(at).stream()
                            .filter(parent -> ancestors[parent] == null)
                            .findFirst()
                            .orElseThrow();
        }
        List<Integer> cycle = new ArrayList<>(path.subList(path.indexOf(at), path.size()));
        while (cycle.get(0) != cycle.stream().mapToInt(Integer::intValue).min().orElseThrow()) {
            cycle.add(cycle.remove(0));
        }
        cycles.computeIfAbsent(cycle.get(0), key -> new ArrayList<>(1)).add(cycle);
        Integer cutParent = cycle.get(cycle.size() > 1 ? 1 : 0);
        int cutChild = cycle.get(0);
        parents.get(cutChild).remove(cutParent);
        children.get(cutParent).remove((Integer) cutChild);
        if (--waitingFor[cutChild] == 0) {
            ready.add(cutChild);
        }
    }
}
