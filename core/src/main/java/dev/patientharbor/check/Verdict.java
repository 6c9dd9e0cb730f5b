package dev.patientharbor.check;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.finding.Where;
import dev.patientharbor.plan.Plan;
import dev.patientharbor.resolve.PlanMaker;
import dev.patientharbor.resolve.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.Wiring;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.stream.Stream;

/**
 * What a check found: in the set as a whole and in each profile. Immutable; may be used by several
 * threads.
 */
public final class Verdict {

    private final ResolvedSet set;
    private final List<Finding> findings;
    private final List<ProfileVerdict> profiles;
    private final List<ProfileVerdict> shown;

    Verdict(
            ResolvedSet set,
            List<Finding> findings,
            List<ProfileVerdict> profiles,
            List<ProfileVerdict> shown) {
        this.set = set;
        this.findings = List.copyOf(findings);
        this.profiles = List.copyOf(profiles);
        this.shown = List.copyOf(shown);
    }

    /** What people call the set. */
    public String title() {
        return set.declared().title();
    }

    /** The profile file, as it was given; empty for a set that was declared in code. */
    public String file() {
        return set.declared().at().match(Where.InFile::path, in -> "");
    }

    /** The number of distinct entry consumers. */
    public int entryConsumers() {
        return (int)
                set.entries().stream()
                        .flatMap(entry -> entry.classes().stream())
                        .map(ClassFacts::name)
                        .distinct()
                        .count();
    }

    /** The number of classes that were read. */
    public int classesRead() {
        return set.code().size();
    }

    /** What concerns no profile alone, in order of place. */
    public List<Finding> findings() {
        return findings;
    }

    /** The profiles, in the order of the file. */
    public List<ProfileVerdict> profiles() {
        return shown;
    }

    /**
     * All findings of the set and of the profiles; one that several profiles share stands here once
     * for each.
     */
    public List<Finding> allFindings() {
        return Stream.concat(
                        findings.stream(), shown.stream().flatMap(one -> one.findings().stream()))
                .toList();
    }

    /** Whether any finding is as grave as that, or graver. */
    public boolean hasAtLeast(Severity severity) {
        return allFindings().stream()
                .anyMatch(one -> one.kind().severity().compareTo(severity) >= 0);
    }

    /**
     * Whether a profile is complete.
     *
     * @throws IllegalArgumentException if there is no such profile, or it is partial
     */
    public boolean complete(String profile) {
        return find(profile)
                .complete()
                .orElseThrow(
                        () ->
                                new IllegalArgumentException(
                                        "the profile " + profile + " is partial"));
    }

    /**
     * Who receives what in a profile, whole or not.
     *
     * @throws IllegalArgumentException if there is no such profile, or it is partial
     */
    public Plan plan(String profile) {
        int number = profiles.indexOf(find(profile));
        Wiring wiring =
                set.wirings()
                        .get(number)
                        .orElseThrow(
                                () ->
                                        new IllegalArgumentException(
                                                "the profile " + profile + " is partial"));
        return PlanMaker.plan(set, wiring);
    }

    /**
     * The verdict with some profiles alone, in the order of the file, and with the partial profiles
     * that they extend where something is wrong with those; what is not among them is not shown.
     */
    public Verdict only(Collection<String> names) {
        names.forEach(this::find);
        List<ResolvedProfile> wanted =
                set.profiles().stream()
                        .filter(one -> names.contains(one.declared().name()))
                        .toList();
        List<ProfileVerdict> some = new ArrayList<>();
        for (int i = 0; i < profiles.size(); i++) {
            int number = i;
            ProfileVerdict profile = profiles.get(i);
            boolean atFault =
                    profile.isPartial()
                            && !profile.findings().isEmpty()
                            && wanted.stream().anyMatch(one -> one.isOrExtends(number));
            if (atFault || names.contains(profile.name())) {
                some.add(profile);
            }
        }
        return new Verdict(set, findings, profiles, some);
    }

    /**
     * A class name as people read it: short, unless two classes of the code share the short name.
     */
    public String shortName(String binaryName) {
        return set.names().shortName(binaryName);
    }

    private ProfileVerdict find(String profile) {
        return profiles.stream()
                .filter(one -> one.name().equals(profile))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("there is no profile " + profile));
    }
}
