package dev.patientharbor.accepting;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Optional;

/**
 * One line that is not as it was accepted. Immutable; at least one of the two is there.
 *
 * @param profile the profile
 * @param accepted the line that was accepted; empty if it is new
 * @param now the line as it is now; empty if nobody asks any more
 * @param at what says so now: the binding, or the class; for what is gone, the accepted line
 */
public record RosterChange(
        String profile,
        Optional<AcceptedLine> accepted,
        Optional<AcceptedLine> now,
        SourcePosition at) {
    public RosterChange {
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(accepted, "accepted");
        RequiredArgument.of(now, "now");
        RequiredArgument.of(at, "at");
    }

    /** Returns the line as it is now, or as it was accepted if it is gone. */
    public AcceptedLine line() {
        return now.or(() -> accepted).orElseThrow();
    }
}
