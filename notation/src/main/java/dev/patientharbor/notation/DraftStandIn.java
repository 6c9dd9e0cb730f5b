package dev.patientharbor.notation;

import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;

/**
 * What stands in a slot in the drafted tests: a mock; where none can be made, a class of the code
 * that reaches nothing outside; else nobody yet. For one thread.
 */
final class DraftStandIn {

    private static final String MOCK = "mock";

    private final String because;
    private final Deque<String> left = new ArrayDeque<>();

    /**
     * @param because why the tests must not have what stands there otherwise
     * @param untouching the classes that could stand there and reach nothing, as the file writes
     *     them
     */
    DraftStandIn(String because, Collection<String> untouching) {
        this.because = because;
        left.add(MOCK);
        left.addAll(untouching);
    }

    /** Takes the next one, for a check refused this one; returns whether anything changed. */
    boolean refuse() {
        return left.poll() != null;
    }

    boolean isToFill() {
        return left.isEmpty();
    }

    /** Adds its line to the bindings of the tests. */
    void addTo(DraftYaml bindings, String slot) {
        if (isToFill()) {
            bindings.text(slot, "to-fill", because + ", and no mock can be made of it");
        } else if (left.peek().equals(MOCK)) {
            bindings.inline(slot, new DraftYaml().text(MOCK, "true").text("because", because));
        } else {
            bindings.inline(
                    slot,
                    new DraftYaml()
                            .text("fake", left.peek())
                            .text("because", because + ", and no mock can be made of it"));
        }
    }
}
