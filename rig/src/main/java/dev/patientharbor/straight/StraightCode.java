package dev.patientharbor.straight;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What is written for a plan. Has no state that changes; may be used by several threads. */
public abstract class StraightCode {

    private final Map<Integer, List<Integer>> arguments = new HashMap<>();

    /**
     * Called by what is written.
     *
     * @param steps what it makes
     */
    protected StraightCode(List<Step> steps) {
        steps.forEach(one -> arguments.put(one.number(), one.arguments()));
    }

    /**
     * Makes the object of that number and keeps it; first makes what it needs and is not there.
     *
     * @param objects where the bay keeps them
     * @return the object, or null if no code was written for it
     * @throws Throwable what a constructor throws, or the bay
     */
    public abstract Object make(int number, Bay bay, Object[] objects) throws Throwable;

    /** The numbers of what an object is given, in order. */
    final List<Integer> arguments(int number) {
        return arguments.get(number);
    }

    /**
     * Where the code is, told from what is kept: it makes the first of the arguments that is not,
     * for one object after the other.
     *
     * @param wanted the object for which it was called
     * @param waiting the object at which it waits for what it does not make, if it does
     * @return the objects that are being made, each for the one before it
     */
    final List<Integer> way(int wanted, int waiting, Bay bay) {
        List<Integer> way = new ArrayList<>();
        Integer next = wanted;
        while (next != null) {
            way.add(next);
            next = next == waiting ? null : firstNotKept(next, bay);
        }
        return way;
    }

    private Integer firstNotKept(int number, Bay bay) {
        for (Integer argument : arguments(number)) {
            if (arguments.containsKey(argument) && bay.kept(argument) == null) {
                return argument;
            }
        }
        return null;
    }
}
