package dev.patientharbor.plan;

import dev.patientharbor.model.Canned;
import dev.patientharbor.model.Slot;
import java.util.List;

/**
 * What was seen of a slot, as canned answers.
 *
 * @param slot the slot
 * @param answers what a stub would answer that does the same
 */
public record Recording(Slot slot, List<Canned> answers) {
    public Recording {
        answers = List.copyOf(answers);
    }
}
