package dev.patientharbor.needs;

import dev.patientharbor.finding.SourcePosition;

/**
 * A mark of the open standard that the standard does not allow there, or that says nothing.
 *
 * @param reason what is wrong
 * @param at the member, or the class
 */
public record MarkFault(Reason reason, SourcePosition at) {

    /** What can be wrong. */
    public enum Reason {
        BLANK_NAME,
        TWO_KEYS,
        TWO_SCOPES,
        FINAL_FIELD,
        TYPE_PARAMETERS
    }
}
