package dev.patientharbor.tracing;

import java.util.List;
import java.util.Optional;

/**
 * One way through a method that wires by hand.
 *
 * @param objects all that are made, in order
 * @param roots those that the method makes for itself or returns, in order; who is handed to
 *     another one may be among them
 * @param decisions what was assumed where the way parts, in order
 * @param lost where objects go that cannot be followed, in order
 * @param isWhole whether the end of the method is reached; not where it throws
 */
public record WiringTrace(
        List<TracedObject> objects,
        List<TracedObject> roots,
        List<Decision> decisions,
        List<TracedValue.Unknown> lost,
        boolean isWhole) {

    public WiringTrace {
        objects = List.copyOf(objects);
        roots = List.copyOf(roots);
        decisions = List.copyOf(decisions);
        lost = List.copyOf(lost);
    }

    /**
     * What was assumed.
     *
     * @param comparison what is compared, if it is a comparison with a constant
     * @param holds whether it was taken to hold
     * @param line where it stands; 0 if that is not known
     */
    public record Decision(Optional<TracedValue.Comparison> comparison, boolean holds, int line) {}
}
