package dev.patientharbor.tracing;

import java.util.ArrayList;
import java.util.List;

/**
 * Which way is taken where a way parts: as a script says, then always the first. For one thread.
 */
final class DecisionScript {

    private final List<Integer> script;
    private final List<Integer> taken = new ArrayList<>();
    private final List<Integer> ways = new ArrayList<>();

    DecisionScript(List<Integer> script) {
        this.script = List.copyOf(script);
    }

    /** Returns the way to take, counted from 0. */
    int choose(int count) {
        int way = taken.size() < script.size() ? script.get(taken.size()) : 0;
        taken.add(way);
        ways.add(count);
        return way;
    }

    /** Returns the scripts of the ways that part from this one after its script ended. */
    List<List<Integer>> others() {
        List<List<Integer>> others = new ArrayList<>();
        for (int i = script.size(); i < taken.size(); i++) {
            for (int way = 1; way < ways.get(i); way++) {
                List<Integer> other = new ArrayList<>(taken.subList(0, i));
                other.add(way);
                others.add(other);
            }
        }
        return others;
    }
}
