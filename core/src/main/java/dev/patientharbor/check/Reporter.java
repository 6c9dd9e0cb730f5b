package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.resolve.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.Wiring;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.Predicate;

/**
 * Takes findings from the rules and puts each where it belongs: to the set, or to one or more
 * profiles.
 */
final class Reporter {

    private final ResolvedSet set;
    private final List<Finding> ofSet = new ArrayList<>();
    private final List<List<Finding>> ofProfile = new ArrayList<>();
    private final BitSet brokenByParent = new BitSet();
    private final Map<Wiring, Impact> impacts = new HashMap<>();

    Reporter(ResolvedSet set) {
        this.set = set;
        set.profiles().forEach(profile -> ofProfile.add(new ArrayList<>()));
    }

    /** Reports what concerns no profile alone. */
    void report(Finding finding) {
        ofSet.add(finding);
    }

    /** Whether something of a kind was reported that concerns no profile alone. */
    boolean hasTold(FindingKind kind) {
        return ofSet.stream().anyMatch(one -> one.kind() == kind);
    }

    /** Reports what is wrong in one profile. */
    void report(ResolvedProfile profile, Finding finding) {
        ofProfile.get(profile.number()).add(finding);
    }

    /**
     * Reports what is wrong with something that a profile says and others may inherit. In a partial
     * profile it is told there alone; otherwise in each profile that it holds for, with those whom
     * it touches there.
     *
     * @param owner the profile that says it
     * @param holdsFor whether it holds for a profile that is checked
     * @param slots the slots that fail by it
     */
    void report(
            ResolvedProfile owner,
            Predicate<ResolvedProfile> holdsFor,
            List<Integer> slots,
            Finding finding) {
        TreeSet<String> consumers = new TreeSet<>();
        TreeSet<String> entries = new TreeSet<>();
        for (Wiring wiring : set.checked()) {
            if (!holdsFor.test(wiring.profile())) {
                continue;
            }
            Impact.Touched touched = impact(wiring).of(slots);
            if (owner.declared().partial()) {
                consumers.addAll(touched.consumers());
                entries.addAll(touched.entries());
                if (finding.kind().breaksCompleteness()) {
                    brokenByParent.set(wiring.profile().number());
                }
            } else {
                report(wiring.profile(), finding.touching(touched.consumers(), touched.entries()));
            }
        }
        if (owner.declared().partial()) {
            report(owner, finding.touching(List.copyOf(consumers), List.copyOf(entries)));
        }
    }

    /** Whom what goes wrong in a wiring touches. */
    Impact impact(Wiring wiring) {
        return impacts.computeIfAbsent(wiring, one -> new Impact(set, one));
    }

    /** The findings of the set, sorted, each once. */
    List<Finding> ofSet() {
        return sorted(ofSet);
    }

    /** The findings of a profile, sorted, each once. */
    List<Finding> of(ResolvedProfile profile) {
        return sorted(ofProfile.get(profile.number()));
    }

    /** Whether a profile is not whole because of what a partial profile says that it inherits. */
    boolean isBrokenByParent(ResolvedProfile profile) {
        return brokenByParent.get(profile.number());
    }

    private static List<Finding> sorted(List<Finding> findings) {
        Map<String, Finding> once = new HashMap<>();
        findings.forEach(finding -> once.putIfAbsent(finding.identity(), finding));
        return once.values().stream().sorted(Finding.ORDER).toList();
    }
}
