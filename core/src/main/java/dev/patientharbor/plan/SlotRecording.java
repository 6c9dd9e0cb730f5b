package dev.patientharbor.plan;

import dev.patientharbor.model.CannedMethod;
import dev.patientharbor.terms.Slot;
import java.util.List;

/**
 * What a spy saw of a slot, as canned answers: {@code RecordingFiles} writes them to a file.
 *
 * <p>For our own modules: its constructor, and the answers one by one.
 *
 * @param slot the slot
 * @param answers what a stub would answer that does the same
 */
public record SlotRecording(Slot slot, List<CannedMethod> answers) {
    public SlotRecording {
        answers = List.copyOf(answers);
    }
}
