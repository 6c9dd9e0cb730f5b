package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.model.Profile;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.rules.CannotSwapRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.FindingReporter.PartialProfileFinding;
import dev.patientharbor.ruling.FindingReporter.SetFinding;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * Joins what the rules reported on all sides: each finding stands where it belongs, sorted, once,
 * with all whom it touches.
 *
 * <p>What is missing on one side and there on another is no fault of the set or of a partial
 * profile; it is reported for the profiles of the side on which it matters. Of a profile that is
 * checked, its own side alone says what is missing.
 */
final class JoinedFindings {

    private static final String EXPLAINED =
            "names that it would explain are not reported until then";

    private final List<FindingReporter> sides;
    private final List<List<FindingReporter>> concerned = new ArrayList<>();

    /** Who decides, for each profile, what is missing of what it names. */
    private final List<List<FindingReporter>> judges = new ArrayList<>();

    private final List<Finding> ofSet;
    private final List<List<Finding>> ofProfile = new ArrayList<>();
    private final BitSet brokenByParent = new BitSet();
    private final boolean nothingAnywhere;

    /**
     * Joined.
     *
     * @param before what was found before any side was looked at
     * @param profiles the profiles of the set, in the order of the file
     */
    JoinedFindings(List<Finding> before, List<FindingReporter> sides, List<Profile> profiles) {
        this.sides = sides;
        ofSet = new ArrayList<>(before);
        for (int i = 0; i < profiles.size(); i++) {
            ofProfile.add(new ArrayList<>());
            concerned.add(new ArrayList<>(1));
            judges.add(concerned.get(i));
        }
        Set<FindingKind> causes = new HashSet<>();
        for (FindingReporter side : sides) {
            causes.addAll(side.leaveOutConsequences());
            side.set()
                    .profiles()
                    .forEach(profile -> concerned.get(profile.profileNumber()).add(side));
            side.set().wirings().keySet().forEach(profile -> judges.set(profile, List.of(side)));
        }
        nothingAnywhere = sides.stream().allMatch(JoinedFindings::hasNothing);
        joinOfSet();
        explain(causes);
        for (int profileNumber = 0; profileNumber < profiles.size(); profileNumber++) {
            joinOfProfile(profileNumber, profiles.get(profileNumber).partial());
        }
    }

    private static boolean hasNothing(FindingReporter side) {
        return side.set().wirings().keySet().stream()
                .flatMap(profile -> side.of(profile).stream())
                .anyMatch(finding -> finding.kind() == FindingKinds.NOTHING_TO_CHECK);
    }

    private void joinOfSet() {
        AbsenceAgreement agreement = new AbsenceAgreement();
        sides.forEach(
                side -> side.ofSet().forEach(reported -> agreement.add(side, reported.finding())));
        for (FindingReporter side : sides) {
            for (SetFinding one : side.ofSet()) {
                if (agreement.isReported(
                        one.finding(), one.profile().map(judges::get).orElse(sides))) {
                    ofSet.add(one.finding());
                }
            }
        }
    }

    private void explain(Set<FindingKind> causes) {
        for (int i = 0; i < ofSet.size(); i++) {
            if (causes.contains(ofSet.get(i).kind())) {
                ofSet.set(i, ofSet.get(i).with("so", EXPLAINED));
                return;
            }
        }
    }

    private void joinOfProfile(int profileNumber, boolean isPartial) {
        List<FindingReporter> all = concerned.get(profileNumber);
        AbsenceAgreement agreement = new AbsenceAgreement();
        all.forEach(
                side -> side.of(profileNumber).forEach(finding -> agreement.add(side, finding)));
        for (FindingReporter side : judges.get(profileNumber)) {
            for (Finding one : side.of(profileNumber)) {
                // What one side does not use, another one may.
                boolean ofAll = one.kind() == FindingKinds.UNUSED_BINDING;
                boolean isToldOfSet =
                        one.kind() == FindingKinds.NOTHING_TO_CHECK && nothingAnywhere;
                if (!isToldOfSet
                        && agreement.isReported(one, ofAll ? all : judges.get(profileNumber))) {
                    ofProfile.get(profileNumber).add(one);
                }
            }
        }
        if (isPartial) {
            joinPartial(profileNumber, all);
        }
    }

    /**
     * Leaves with a partial profile what all sides report, and reports the rest where it matters.
     */
    private void joinPartial(int profileNumber, List<FindingReporter> concerned) {
        Map<String, List<PartialProfileFinding>> byIdentity = new LinkedHashMap<>();
        for (FindingReporter side : concerned) {
            Map<String, PartialProfileFinding> once = new LinkedHashMap<>();
            side.ofPartial(profileNumber)
                    .forEach(reported -> once.putIfAbsent(reported.finding().identity(), reported));
            once.forEach(
                    (identity, reported) ->
                            byIdentity
                                    .computeIfAbsent(identity, any -> new ArrayList<>())
                                    .add(reported));
        }
        for (List<PartialProfileFinding> same : byIdentity.values()) {
            if (same.size() == concerned.size()) {
                reportOnce(profileNumber, same);
            } else {
                for (PartialProfileFinding one : same) {
                    one.touched()
                            .forEach(
                                    (heir, whom) ->
                                            ofProfile
                                                    .get(heir.profileNumber())
                                                    .add(whom.addedTo(one.finding())));
                }
            }
        }
    }

    private void reportOnce(int profileNumber, List<PartialProfileFinding> same) {
        TreeSet<String> consumers = new TreeSet<>();
        TreeSet<String> entries = new TreeSet<>();
        Finding finding = same.get(0).finding();
        for (PartialProfileFinding reported : same) {
            reported.touched()
                    .forEach(
                            (heir, whom) -> {
                                consumers.addAll(whom.consumers());
                                entries.addAll(whom.entries());
                                if (finding.kind().breaksCompleteness()) {
                                    brokenByParent.set(heir.profileNumber());
                                }
                            });
        }
        ofProfile
                .get(profileNumber)
                .add(finding.touching(List.copyOf(consumers), List.copyOf(entries)));
    }

    /**
     * Returns the findings that concern no profile alone.
     *
     * @param names the names of classes, whichever side sees them
     */
    List<Finding> ofSet(ClassNames names) {
        List<Finding> once = sorted(ofSet);
        return sorted(CannotSwapRule.together(once, names::shortName));
    }

    /** Returns the findings that concern one profile, given by its number. */
    List<Finding> of(int profile) {
        return sorted(ofProfile.get(profile));
    }

    /** Returns whether a profile is incomplete because of what a partial parent says. */
    boolean isBrokenByParent(int profile) {
        return brokenByParent.get(profile);
    }

    private static List<Finding> sorted(List<Finding> findings) {
        Map<String, Finding> once = new HashMap<>();
        findings.forEach(finding -> once.merge(finding.identity(), finding, Finding::joinedWith));
        return once.values().stream().sorted(Finding.ORDER).toList();
    }
}
