package dev.patientharbor.explaining;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * One binding, or one statement about decorators, that a profile says itself. Immutable.
 *
 * @param level the area or the consumer for which it is said, as people read it; {@code whole
 *     profile}
 * @param slot the slot, as people read it
 * @param word what is said: a class, {@code mock}, {@code removed}; for decorators {@code decorated
 *     with HarbourLevy}
 * @param at where it is said
 * @param decides by profile, that one or one that extends it: how many needs it decides there, more
 *     than none; for a statement that only takes decorators away, how many receive what they stood
 *     around
 * @param without what would decide the first of those needs if it were not there; empty if nothing
 *     would, if it decides none, and for decorators
 */
public record SaidWord(
        String level,
        String slot,
        String word,
        SourcePosition at,
        Map<String, Integer> decides,
        Optional<ConsideredWord> without) {
    public SaidWord {
        RequiredArgument.of(level, "level");
        RequiredArgument.of(slot, "slot");
        RequiredArgument.of(word, "word");
        RequiredArgument.of(at, "at");
        RequiredArgument.of(decides, "decides");
        RequiredArgument.of(without, "without");
        decides = Collections.unmodifiableMap(new LinkedHashMap<>(decides));
    }
}
