package dev.patientharbor.explaining;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Optional;

/**
 * One word that could decide what a need receives. Immutable.
 *
 * @param level the area or the consumer for which it is said, as people read it; {@code whole
 *     profile}
 * @param profile the profile that says it; blank where nothing is said, and for a class of the code
 * @param word what is said: a class, {@code mock}, {@code removed}; {@code nothing} where a level
 *     was looked at that says nothing; {@link #OUT_OF_REACH} for a level that was not looked at
 * @param at where it is said; for what is out of reach, where that is said; empty for nothing
 * @param wins whether it decides
 * @param why why it wins or loses, in a few words; blank for nothing
 */
public record ConsideredWord(
        String level,
        String profile,
        String word,
        Optional<SourcePosition> at,
        boolean wins,
        String why) {

    /** The word for a level that the need does not look at. */
    public static final String OUT_OF_REACH = "out of reach";

    private static final String REMOVED = "removed";

    public ConsideredWord {
        RequiredArgument.of(level, "level");
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(word, "word");
        RequiredArgument.of(at, "at");
        RequiredArgument.of(why, "why");
    }

    /** Returns whether nothing is said at that level, or it is out of reach. */
    public boolean isNothing() {
        return at.isEmpty() || word.equals(OUT_OF_REACH);
    }

    /** Returns whether it takes away what is said below it, and supplies nothing. */
    public boolean takesAway() {
        return word.equals(REMOVED);
    }
}
