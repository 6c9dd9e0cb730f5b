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
 *     was looked at that says nothing
 * @param at where it is said; empty for nothing
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
    public ConsideredWord {
        RequiredArgument.of(level, "level");
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(word, "word");
        RequiredArgument.of(at, "at");
        RequiredArgument.of(why, "why");
    }

    /** Returns whether nothing is said at that level. */
    public boolean isNothing() {
        return at.isEmpty();
    }
}
