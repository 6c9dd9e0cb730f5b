package dev.patientharbor.tracing;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.code.CodeIndex;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;

/** Follows a method that wires by hand, each way through it. For one thread. */
public final class HandWiringTracer {

    /** The number of ways that are followed; what parts more often is cut off. */
    public static final int MOST_WAYS = 64;

    private final BodyTrees trees;
    private final CodeIndex code;

    public HandWiringTracer(CodeIndex code) {
        this.code = code;
        trees = new BodyTrees(code);
    }

    /**
     * Follows a method, or a constructor.
     *
     * @return one trace for each way, in a fixed order, but no more than {@link #MOST_WAYS}; none
     *     if the method has no body that can be read
     */
    public List<WiringTrace> trace(MethodName method) {
        List<WiringTrace> traces = new ArrayList<>();
        if (trees.body(method).isEmpty()) {
            return traces;
        }
        Deque<List<Integer>> open = new ArrayDeque<>(List.of(List.of()));
        while (!open.isEmpty() && traces.size() < MOST_WAYS) {
            DecisionScript script = new DecisionScript(open.poll());
            traces.add(new WiringRun(code, trees, method, script).run());
            open.addAll(script.others());
        }
        return traces;
    }
}
