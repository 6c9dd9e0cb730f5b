package dev.patientharbor.drafting;

import java.util.List;

/**
 * What one way through a hand wiring does, as a profile says it. Immutable.
 *
 * @param conditions what was assumed where the way parts, such as {@code args[0] is live}
 * @param name the word that the way is compared with, if there is one; else blank
 * @param packages where short names are looked up
 * @param entry the entry consumers
 * @param mayBeEmpty the contracts of which collections without a member are handed over
 * @param levels the whole profile first, then consumers
 * @param remarks what no profile can say, or could not be followed, one sentence each
 * @param wiring what is handed to whom, to hold a roster against it
 */
public record WiringDraft(
        List<String> conditions,
        String name,
        List<String> packages,
        List<String> entry,
        List<String> mayBeEmpty,
        List<DraftedLevel> levels,
        List<String> remarks,
        WiredGraph wiring) {
    public WiringDraft {
        conditions = List.copyOf(conditions);
        packages = List.copyOf(packages);
        entry = List.copyOf(entry);
        mayBeEmpty = List.copyOf(mayBeEmpty);
        levels = List.copyOf(levels);
        remarks = List.copyOf(remarks);
    }
}
