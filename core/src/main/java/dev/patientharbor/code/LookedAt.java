package dev.patientharbor.code;

import dev.patientharbor.finding.Finding;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Remembers which classes one check looked at, so that what it reports depends on its own questions
 * alone, whoever read the classes before. May be used by several threads.
 */
final class LookedAt {

    private final Set<CodeEntry> entries = ConcurrentHashMap.newKeySet();
    private final Set<Finding> others = ConcurrentHashMap.newKeySet();

    void add(CodeEntry entry) {
        entries.add(entry);
    }

    void addAll(Collection<CodeEntry> more) {
        entries.addAll(more);
    }

    /** Adds the finding that something other than a class could not be read. */
    void add(Finding unreadable) {
        others.add(unreadable);
    }

    /** Returns how many classes were looked at. */
    int count() {
        return entries.size();
    }

    /** Returns findings about what was looked at and could not be read, in order of place. */
    List<Finding> unreadable() {
        List<Finding> findings = new ArrayList<>(others);
        for (CodeEntry entry : entries) {
            entry.fault().ifPresent(findings::add);
        }
        findings.sort(Finding.ORDER);
        return findings;
    }
}
