package dev.patientharbor.values;

import dev.patientharbor.finding.SourcePosition;
import java.util.List;

/**
 * A canned answer that the contract cannot take.
 *
 * @param at where it stands
 * @param method the method as written
 * @param message what is wrong, as a sentence
 * @param known the methods or arguments that there are
 * @param unset the settings in it that are not set; then that is what is wrong
 */
public record AnswerFault(
        SourcePosition at, String method, String message, List<String> known, List<String> unset) {
    public AnswerFault {
        known = List.copyOf(known);
        unset = List.copyOf(unset);
    }
}
