package dev.patientharbor.watching;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.RosterComparison;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What is new in a verdict since another one. Immutable.
 *
 * @param appeared the findings that were not there before, each once; one that has only moved to
 *     another line is not new
 * @param gone the findings that are not there any more, each once
 * @param rosters by profile what has changed, for those in which something has
 * @param newProfiles the profiles that were not there, or were partial
 * @param goneProfiles the profiles that are not there any more, or are partial now
 */
public record VerdictChange(
        List<Finding> appeared,
        List<Finding> gone,
        Map<String, RosterComparison> rosters,
        List<String> newProfiles,
        List<String> goneProfiles) {

    public VerdictChange {
        RequiredArgument.of(appeared, "appeared");
        RequiredArgument.of(gone, "gone");
        RequiredArgument.of(rosters, "rosters");
        RequiredArgument.of(newProfiles, "newProfiles");
        RequiredArgument.of(goneProfiles, "goneProfiles");
        appeared = List.copyOf(appeared);
        gone = List.copyOf(gone);
        rosters = Collections.unmodifiableMap(new LinkedHashMap<>(rosters));
        newProfiles = List.copyOf(newProfiles);
        goneProfiles = List.copyOf(goneProfiles);
    }

    /** Returns what is new. */
    public static VerdictChange between(Verdict before, Verdict after) {
        RequiredArgument.of(before, "before");
        RequiredArgument.of(after, "after");
        Map<String, Finding> earlier = findings(before);
        Map<String, Finding> later = findings(after);
        Map<String, Roster> rostersBefore = before.rosters();
        Map<String, Roster> rostersAfter = after.rosters();
        Map<String, RosterComparison> changes = new LinkedHashMap<>();
        rostersAfter.forEach(
                (profile, roster) -> {
                    Roster old = rostersBefore.get(profile);
                    if (old != null && !old.fingerprint().equals(roster.fingerprint())) {
                        changes.put(
                                profile, RosterComparison.of(old, roster).named("before", "now"));
                    }
                });
        return new VerdictChange(
                without(later, earlier.keySet()),
                without(earlier, later.keySet()),
                changes,
                without(rostersAfter.keySet(), rostersBefore.keySet()),
                without(rostersBefore.keySet(), rostersAfter.keySet()));
    }

    /** The findings by what they say, wherever they stand; profiles that share one as one. */
    private static Map<String, Finding> findings(Verdict verdict) {
        Map<String, Finding> findings = new LinkedHashMap<>();
        for (Finding finding : verdict.allFindings()) {
            findings.putIfAbsent(
                    String.join("\t", finding.kind().id(), finding.cause(), finding.message()),
                    finding);
        }
        return findings;
    }

    private static List<Finding> without(Map<String, Finding> findings, Set<String> others) {
        List<Finding> left = new ArrayList<>();
        findings.forEach(
                (said, finding) -> {
                    if (!others.contains(said)) {
                        left.add(finding);
                    }
                });
        return left;
    }

    private static List<String> without(Set<String> names, Set<String> others) {
        TreeSet<String> left = new TreeSet<>(names);
        left.removeAll(others);
        return List.copyOf(left);
    }

    /** Returns whether nothing is new. */
    public boolean isNothing() {
        return appeared.isEmpty()
                && gone.isEmpty()
                && rosters.isEmpty()
                && newProfiles.isEmpty()
                && goneProfiles.isEmpty();
    }

    /** Returns what is new, as a failed assertion shows it. */
    @Override
    public String toString() {
        return "new "
                + appeared.stream().map(Finding::message).collect(Collectors.toList())
                + ", gone "
                + gone.stream().map(Finding::message).collect(Collectors.toList())
                + ", changed "
                + rosters.values();
    }
}
