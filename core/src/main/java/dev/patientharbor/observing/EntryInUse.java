package dev.patientharbor.observing;

import dev.patientharbor.texts.RequiredArgument;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * An entry consumer, and how often runs made it. Immutable.
 *
 * @param consumer its binary name, or the name of what is no class
 * @param runs by the name of each profile, in their order: in how many runs under that profile it
 *     was made, 0 for none
 */
public record EntryInUse(String consumer, Map<String, Integer> runs) {
    public EntryInUse {
        RequiredArgument.of(consumer, "consumer");
        RequiredArgument.of(runs, "runs");
        runs = Collections.unmodifiableMap(new LinkedHashMap<>(runs));
    }

    /** Returns whether some run made it, under whatever profile. */
    public boolean isMet() {
        return runs.values().stream().anyMatch(each -> each > 0);
    }
}
