package dev.patientharbor.terms;

import dev.patientharbor.texts.RequiredArgument;
import java.time.LocalDate;
import java.util.Optional;

/**
 * Why something is so that is not meant to stay.
 *
 * @param because the reason
 * @param owner who answers for it
 * @param until the last day on which it may be so
 */
public record Grounds(Optional<String> because, Optional<String> owner, Optional<LocalDate> until) {
    public Grounds {
        RequiredArgument.of(because, "because");
        RequiredArgument.of(owner, "owner");
        RequiredArgument.of(until, "until");
    }

    /** No grounds at all. */
    public static final Grounds NONE =
            new Grounds(Optional.empty(), Optional.empty(), Optional.empty());

    public boolean isEmpty() {
        return because.isEmpty() && owner.isEmpty() && until.isEmpty();
    }

    /** Whether its last day is over. */
    public boolean isOver(LocalDate today) {
        RequiredArgument.of(today, "today");
        return until.filter(today::isAfter).isPresent();
    }

    /** Returns these grounds, with what they leave open taken from others. */
    public Grounds or(Grounds other) {
        RequiredArgument.of(other, "other");
        return new Grounds(
                because.or(other::because), owner.or(other::owner), until.or(other::until));
    }
}
