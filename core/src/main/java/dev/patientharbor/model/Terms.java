package dev.patientharbor.model;

import java.util.List;
import java.util.Optional;

/**
 * What a profile says of itself as a whole, beside its words.
 *
 * @param code the compiled code that it sees beside the set's, as written; empty if it says nothing
 * @param lifetime what holds in it where neither a binding nor a mark says otherwise
 * @param eager whether everything is made at the start, rather than when it is first needed
 */
public record Terms(
        Optional<List<Written>> code, Optional<Lifetime> lifetime, Optional<Boolean> eager) {

    /** Nothing of its own. */
    public static final Terms NONE =
            new Terms(Optional.empty(), Optional.empty(), Optional.empty());

    public Terms {
        code = code.map(List::copyOf);
    }
}
