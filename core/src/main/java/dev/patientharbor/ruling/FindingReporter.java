package dev.patientharbor.ruling;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.declared.ResolvedDecoratorStatement;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Takes findings from the rules of one side and puts each where it belongs: to the set, or to one
 * or more profiles.
 */
public final class FindingReporter {

    /** What tells that there is no code. */
    private static final Set<FindingKind> NO_CODE =
            Set.of(FindingKinds.CODE_MISSING, FindingKinds.NOTHING_TO_CHECK);

    /** What tells names that no class answers to. */
    private static final Set<FindingKind> NAMES =
            Set.of(
                    FindingKinds.UNKNOWN_CLASS,
                    FindingKinds.UNKNOWN_ENTRY,
                    FindingKinds.UNKNOWN_AREA);

    /** What tells that something is missing, which may be in a file that cannot be read. */
    private static final Set<FindingKind> ABSENCES =
            Set.of(
                    FindingKinds.UNUSED_BINDING,
                    FindingKinds.UNKNOWN_ENTRY,
                    FindingKinds.LOOKUP_UNSEEN);

    private static final BitSet NOBODY = new BitSet();

    private final ResolvedSet set;
    private final Set<FindingKind> before;
    private final List<SetFinding> ofSet = new ArrayList<>();
    private final Map<Integer, List<Finding>> ofProfile = new HashMap<>();
    private final Map<Integer, List<PartialProfileFinding>> ofPartial = new HashMap<>();
    private final Map<Wiring, FailureImpact> impacts = new HashMap<>();
    private final Set<FindingKind> explained = new HashSet<>();
    private Map<Integer, BitSet> heirs;

    /**
     * What concerns no profile alone.
     *
     * @param profile the number of the profile whose words it is about: the sides on which these
     *     matter can tell it; empty if all sides can
     */
    public record SetFinding(Optional<Integer> profile, Finding finding) {}

    /**
     * What is wrong with something that a partial profile says.
     *
     * @param touched whom it touches, by the checked profiles that it holds for
     */
    public record PartialProfileFinding(
            ResolvedProfile owner,
            Finding finding,
            Map<ResolvedProfile, FailureImpact.TouchedConsumers> touched) {}

    /**
     * Makes the reporter of one side.
     *
     * @param before what kinds of things are known to be wrong before any side is looked at
     */
    public FindingReporter(ResolvedSet set, Set<FindingKind> before) {
        this.set = set;
        this.before = before;
    }

    /** Reports what concerns no profile alone. */
    public void report(Finding finding) {
        reportOf(Optional.empty(), finding);
    }

    /** Reports what concerns no profile alone, of words that may be those of a profile. */
    public void reportOf(Optional<Integer> profile, Finding finding) {
        ofSet.add(new SetFinding(profile, finding));
    }

    /** Whether something of a kind is known that concerns no profile alone. */
    public boolean hasReported(FindingKind kind) {
        return before.contains(kind)
                || ofSet.stream().anyMatch(reported -> reported.finding().kind() == kind);
    }

    /** Reports what is wrong in one profile. */
    public void report(ResolvedProfile profile, Finding finding) {
        ofProfile.computeIfAbsent(profile.profileNumber(), key -> new ArrayList<>()).add(finding);
    }

    /**
     * Reports why seats of a profile fail, with the consumers that fail by it.
     *
     * @param seats those that fail
     */
    public void report(Wiring wiring, List<Integer> seats, Finding finding) {
        report(wiring.profile(), impact(wiring).of(seats).addedTo(finding));
    }

    /**
     * Reports what is wrong with something that a profile says and others may inherit. In a partial
     * profile it is reported there alone; otherwise in each profile that it holds for, with those
     * whom it touches there.
     *
     * @param owner the profile that says it
     * @param holdsFor whether it holds for a profile that is checked and is or extends that one
     * @param slots the slots that fail by it
     */
    public void report(
            ResolvedProfile owner,
            Predicate<ResolvedProfile> holdsFor,
            List<Integer> slots,
            Finding finding) {
        Map<ResolvedProfile, FailureImpact.TouchedConsumers> touched = new LinkedHashMap<>();
        for (Wiring wiring : heirs(owner)) {
            if (holdsFor.test(wiring.profile())) {
                touched.put(
                        wiring.profile(),
                        slots.isEmpty() ? FailureImpact.NOBODY : impact(wiring).of(slots));
            }
        }
        if (owner.declared().partial()) {
            ofPartial
                    .computeIfAbsent(owner.profileNumber(), key -> new ArrayList<>())
                    .add(new PartialProfileFinding(owner, finding, touched));
        } else {
            touched.forEach((heir, whom) -> report(heir, whom.addedTo(finding)));
        }
    }

    /** Reports what is wrong with a binding, in each profile in which it holds. */
    public void report(ResolvedBinding binding, Finding finding) {
        report(
                set.profile(binding.owner()),
                heir -> InheritanceCheck.holdsFor(binding, heir),
                binding.slot().stream().toList(),
                finding);
    }

    /** Reports what is wrong with a decorator, in each profile in which it holds. */
    public void report(
            ResolvedDecoratorStatement statement, ResolvedDecorator decorator, Finding finding) {
        report(
                set.profile(statement.owner()),
                heir -> InheritanceCheck.holdsFor(statement, decorator, heir),
                statement.slot().stream().toList(),
                finding);
    }

    /** Reports what is wrong with something that holds wherever it is inherited. */
    public void report(ResolvedProfile owner, List<Integer> slots, Finding finding) {
        report(owner, heir -> true, slots, finding);
    }

    /** The profiles that are checked, and are or extend a profile, in the order of the file. */
    public List<Wiring> heirs(ResolvedProfile owner) {
        return eachHeir(owner).toList();
    }

    /**
     * Streams the profiles that are checked and are or extend a profile, in the order of the file.
     */
    public Stream<Wiring> eachHeir(ResolvedProfile owner) {
        if (heirs == null) {
            heirs = set.heirs();
        }
        return heirs.getOrDefault(owner.profileNumber(), NOBODY).stream()
                .mapToObj(set.wirings()::get);
    }

    /** Returns what finds the consumers that a failure in a wiring touches. */
    public FailureImpact impact(Wiring wiring) {
        return impacts.computeIfAbsent(wiring, each -> new FailureImpact(set, each));
    }

    /**
     * Takes back what one cause explains that is reported: no code was read, so that no name of a
     * class is known; an included file is missing, so that no area is that it declares; or a class
     * file cannot be read, so that what is missing may be in it.
     *
     * @return the kinds of the causes, if they explain anything; the first finding of such a kind
     *     is to say so
     */
    public Set<FindingKind> leaveOutConsequences() {
        boolean noCode = set.code().size() == 0 && NO_CODE.stream().anyMatch(this::hasReported);
        if (noCode) {
            explained.addAll(NAMES);
        }
        boolean includeMissing = hasReported(FindingKinds.INCLUDE_MISSING);
        if (includeMissing) {
            explained.add(FindingKinds.UNKNOWN_AREA);
        }
        if (!set.unreadable().isEmpty()) {
            explained.addAll(ABSENCES);
        }
        if (explained.isEmpty()) {
            return Set.of();
        }
        boolean left = ofSet.removeIf(reported -> isConsequence(reported.finding()));
        for (List<Finding> all : ofProfile.values()) {
            left |= all.removeIf(this::isConsequence);
        }
        ofPartial
                .values()
                .forEach(all -> all.removeIf(reported -> isConsequence(reported.finding())));
        if (!left) {
            return Set.of();
        }
        return noCode ? NO_CODE : includeMissing ? Set.of(FindingKinds.INCLUDE_MISSING) : Set.of();
    }

    private boolean isConsequence(Finding finding) {
        return explained.contains(finding.kind())
                || finding.kind() == FindingKinds.UNKNOWN_CLASS
                        && !set.unreadable().isEmpty()
                        && set.names().isUnreadable(finding.cause());
    }

    /** Whether what is of a kind was taken back. */
    public boolean hasExplained(FindingKind kind) {
        return explained.contains(kind);
    }

    public ResolvedSet set() {
        return set;
    }

    /** What was reported of no profile alone. */
    public List<SetFinding> ofSet() {
        return ofSet;
    }

    /** What was reported of one profile. */
    public List<Finding> of(int profile) {
        return ofProfile.getOrDefault(profile, List.of());
    }

    /** What was reported of a partial profile, for those that inherit it. */
    public List<PartialProfileFinding> ofPartial(int profile) {
        return ofPartial.getOrDefault(profile, List.of());
    }
}
