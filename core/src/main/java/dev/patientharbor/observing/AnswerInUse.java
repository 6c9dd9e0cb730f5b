package dev.patientharbor.observing;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What stands in a slot in some profiles, and how often runs met it. Immutable.
 *
 * @param slot the slot
 * @param answer what stands there, as the first of the profiles has it
 * @param runs by the name of each profile that has it, in their order: in how many runs under that
 *     profile it was made, 0 for none
 * @param consumers who receives it in one of them, sorted; binary names, and names of what is no
 *     class
 * @param made how many objects were made of it, in all runs
 * @param calls how many calls were seen of it; empty where nobody could see them
 */
public record AnswerInUse(
        Slot slot,
        Answer answer,
        Map<String, Integer> runs,
        List<String> consumers,
        int made,
        Optional<Integer> calls) {
    public AnswerInUse {
        RequiredArgument.of(slot, "slot");
        RequiredArgument.of(answer, "answer");
        RequiredArgument.of(runs, "runs");
        RequiredArgument.of(consumers, "consumers");
        RequiredArgument.of(calls, "calls");
        runs = Collections.unmodifiableMap(new LinkedHashMap<>(runs));
        consumers = List.copyOf(consumers);
    }

    /** Returns whether some run met it, under whatever profile. */
    public boolean isMet() {
        return runs.values().stream().anyMatch(each -> each > 0);
    }
}
