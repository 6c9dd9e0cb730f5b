package dev.patientharbor.terms;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.texts.RequiredArgument;

/**
 * A kind of finding that is not to be reported, of one place or of any.
 *
 * @param id the id of the kind
 * @param of the place: a slot, a class or a consumer that the finding names, or {@code FILE:LINE};
 *     blank for any
 * @param grounds why, who answers for it, until when; there is a reason
 * @param at where it stands
 */
public record Suppression(String id, String of, Grounds grounds, SourcePosition at) {
    public Suppression {
        RequiredArgument.of(id, "id");
        RequiredArgument.of(of, "of");
        RequiredArgument.of(grounds, "grounds");
        RequiredArgument.of(at, "at");
        if (grounds.because().isEmpty()) {
            throw new IllegalArgumentException("a suppression of " + id + " without a reason");
        }
    }
}
