package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.resolve.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.Wiring;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Takes findings from the rules and puts each where it belongs: to the set, or to one or more
 * profiles.
 */
final class Reporter {

    private static final String EXPLAINED = "names that it would explain are not told until then";

    /** What tells that there is no code. */
    private static final Set<FindingKind> NO_CODE =
            Set.of(FindingKinds.CODE_MISSING, FindingKinds.NOTHING_TO_CHECK);

    /** What tells names that no class answers to. */
    private static final Set<FindingKind> NAMES =
            Set.of(
                    FindingKinds.UNKNOWN_CLASS,
                    FindingKinds.UNKNOWN_ENTRY,
                    FindingKinds.UNKNOWN_AREA);

    private final ResolvedSet set;
    private final List<Finding> ofSet = new ArrayList<>();
    private final List<List<Finding>> ofProfile = new ArrayList<>();
    private final Map<Integer, List<OfPartial>> ofPartial = new HashMap<>();
    private final List<List<Wiring>> heirs = new ArrayList<>();
    private final Map<Wiring, Impact> impacts = new HashMap<>();

    /**
     * What is wrong with something that a partial profile says.
     *
     * @param touched whom it touches, by the checked profiles that it holds for
     */
    record OfPartial(
            ResolvedProfile owner, Finding finding, Map<ResolvedProfile, Impact.Touched> touched) {}

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
     * @param holdsFor whether it holds for a profile that is checked and is or extends that one
     * @param slots the slots that fail by it
     */
    void report(
            ResolvedProfile owner,
            Predicate<ResolvedProfile> holdsFor,
            List<Integer> slots,
            Finding finding) {
        if (!set.side().concerns(owner.number())) {
            return;
        }
        Map<ResolvedProfile, Impact.Touched> touched = new LinkedHashMap<>();
        for (Wiring wiring : heirs(owner)) {
            if (holdsFor.test(wiring.profile())) {
                touched.put(
                        wiring.profile(),
                        slots.isEmpty() ? Impact.NOBODY : impact(wiring).of(slots));
            }
        }
        if (owner.declared().partial()) {
            ofPartial
                    .computeIfAbsent(owner.number(), one -> new ArrayList<>())
                    .add(new OfPartial(owner, finding, touched));
        } else {
            touched.forEach((heir, whom) -> report(heir, whom.in(finding)));
        }
    }

    /** The same with what holds wherever it is inherited. */
    void report(ResolvedProfile owner, List<Integer> slots, Finding finding) {
        report(owner, heir -> true, slots, finding);
    }

    /** The profiles that are checked, and are or extend a profile. */
    List<Wiring> heirs(ResolvedProfile owner) {
        if (heirs.isEmpty()) {
            set.profiles().forEach(profile -> heirs.add(new ArrayList<>(1)));
            for (Wiring wiring : set.checked()) {
                wiring.profile().lineage().stream().forEach(one -> heirs.get(one).add(wiring));
            }
        }
        return heirs.get(owner.number());
    }

    /** Whom what goes wrong in a wiring touches. */
    Impact impact(Wiring wiring) {
        return impacts.computeIfAbsent(wiring, one -> new Impact(set, one));
    }

    /**
     * Takes back what one cause explains that was told already: no code was read, so that no name
     * of a class is known; or an included file is missing, so that no area is that it declares.
     */
    void leaveOutConsequences() {
        boolean noCode =
                set.code().size() == 0
                        && ofSet.stream().anyMatch(one -> NO_CODE.contains(one.kind()));
        boolean noInclude =
                ofSet.stream().anyMatch(one -> one.kind() == FindingKinds.INCLUDE_MISSING);
        Set<FindingKind> explained = new HashSet<>();
        if (noCode) {
            explained.addAll(NAMES);
        }
        if (noInclude) {
            explained.add(FindingKinds.UNKNOWN_AREA);
        }
        int before = ofSet.size();
        ofSet.removeIf(one -> explained.contains(one.kind()));
        int left = before - ofSet.size();
        for (List<Finding> all : ofProfile) {
            int some = all.size();
            all.removeIf(one -> explained.contains(one.kind()));
            left += some - all.size();
        }
        ofPartial
                .values()
                .forEach(all -> all.removeIf(one -> explained.contains(one.finding().kind())));
        if (left > 0) {
            Set<FindingKind> causes = noCode ? NO_CODE : Set.of(FindingKinds.INCLUDE_MISSING);
            for (int i = 0; i < ofSet.size(); i++) {
                if (causes.contains(ofSet.get(i).kind())) {
                    ofSet.set(i, ofSet.get(i).with("so", EXPLAINED));
                    return;
                }
            }
        }
    }

    ResolvedSet set() {
        return set;
    }

    /** What was reported of no profile alone. */
    List<Finding> ofSet() {
        return ofSet;
    }

    /** What was reported of one profile. */
    List<Finding> of(int profile) {
        return ofProfile.get(profile);
    }

    /** What was reported of a partial profile, for those that inherit it. */
    List<OfPartial> ofPartial(int profile) {
        return ofPartial.getOrDefault(profile, List.of());
    }
}
