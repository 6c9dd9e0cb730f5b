package dev.patientharbor.check;

import dev.patientharbor.check.Reporter.OfPartial;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.resolve.ResolvedProfile;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What the rules reported, joined over the sides: each finding where it belongs, sorted, each once
 * with all whom it touches.
 *
 * <p>What is missing on one side and there on another is no fault of the set or of a partial
 * profile; it is told for the profiles of the side on which it matters.
 */
final class Told {

    /** What says that something is not there: true of the set only if no side has it. */
    private static final Set<FindingKind> ABSENCES =
            Set.of(
                    FindingKinds.UNKNOWN_CLASS,
                    FindingKinds.UNKNOWN_ENTRY,
                    FindingKinds.UNKNOWN_AREA,
                    FindingKinds.UNUSED_BINDING,
                    FindingKinds.LOOKUP_UNSEEN,
                    FindingKinds.NOTHING_TO_CHECK);

    private final List<Reporter> sides;
    private final List<Finding> ofSet = new ArrayList<>();
    private final List<List<Finding>> ofProfile = new ArrayList<>();
    private final BitSet brokenByParent = new BitSet();

    Told(List<Reporter> sides) {
        this.sides = sides;
        List<ResolvedProfile> profiles = sides.get(0).set().profiles();
        List<List<Finding>> ofSets = sides.stream().map(Reporter::ofSet).toList();
        join(ofSets, ofSets, ofSet);
        for (ResolvedProfile profile : profiles) {
            ofProfile.add(new ArrayList<>());
        }
        for (ResolvedProfile profile : profiles) {
            int number = profile.number();
            boolean isPartial = profile.declared().partial();
            List<Reporter> concerned = concerned(number);
            join(
                    concerned.stream()
                            .filter(side -> isPartial || side.set().isChecked(profile))
                            .map(side -> side.of(number))
                            .toList(),
                    concerned.stream().map(side -> side.of(number)).toList(),
                    ofProfile.get(number));
            if (isPartial) {
                joinPartial(number, concerned);
            }
        }
    }

    /** The sides that have something to say of a profile: those of it and of what inherits it. */
    private List<Reporter> concerned(int profile) {
        if (sides.size() == 1) {
            return sides;
        }
        List<Reporter> concerned =
                sides.stream().filter(side -> side.set().side().lineages().get(profile)).toList();
        return concerned.isEmpty() ? sides : concerned;
    }

    /** Adds what some sides tell, absences only if all tell them. */
    private static void join(
            List<List<Finding>> some, List<List<Finding>> all, List<Finding> into) {
        if (all.size() == 1) {
            some.forEach(into::addAll);
            return;
        }
        List<Set<String>> told =
                all.stream()
                        .map(
                                side ->
                                        side.stream()
                                                .map(Finding::identity)
                                                .collect(Collectors.toSet()))
                        .toList();
        for (List<Finding> ofSide : some) {
            for (Finding finding : ofSide) {
                String identity = finding.identity();
                if (!ABSENCES.contains(finding.kind())
                        || told.stream().allMatch(side -> side.contains(identity))) {
                    into.add(finding);
                }
            }
        }
    }

    /** What all sides tell is the partial profile's fault; the rest is told where it matters. */
    private void joinPartial(int number, List<Reporter> concerned) {
        Map<String, List<OfPartial>> byIdentity = new LinkedHashMap<>();
        for (Reporter side : concerned) {
            Map<String, OfPartial> once = new LinkedHashMap<>();
            side.ofPartial(number).forEach(one -> once.putIfAbsent(one.finding().identity(), one));
            once.forEach(
                    (identity, one) ->
                            byIdentity
                                    .computeIfAbsent(identity, any -> new ArrayList<>())
                                    .add(one));
        }
        for (List<OfPartial> same : byIdentity.values()) {
            if (same.size() == concerned.size()) {
                tellOnce(number, same);
            } else {
                for (OfPartial one : same) {
                    one.touched()
                            .forEach(
                                    (heir, whom) ->
                                            ofProfile
                                                    .get(heir.number())
                                                    .add(whom.in(one.finding())));
                }
            }
        }
    }

    private void tellOnce(int number, List<OfPartial> same) {
        TreeSet<String> consumers = new TreeSet<>();
        TreeSet<String> entries = new TreeSet<>();
        Finding finding = same.get(0).finding();
        for (OfPartial one : same) {
            one.touched()
                    .forEach(
                            (heir, whom) -> {
                                consumers.addAll(whom.consumers());
                                entries.addAll(whom.entries());
                                if (finding.kind().breaksCompleteness()) {
                                    brokenByParent.set(heir.number());
                                }
                            });
        }
        ofProfile.get(number).add(finding.touching(List.copyOf(consumers), List.copyOf(entries)));
    }

    List<Finding> ofSet() {
        List<Finding> once = sorted(ofSet);
        return sorted(CannotSwapRule.together(once, this::shortName));
    }

    /** The short name of a class that one of the sides knows. */
    private String shortName(String className) {
        return sides.stream()
                .map(Reporter::set)
                .filter(side -> side.code().find(className).isPresent())
                .findFirst()
                .orElse(sides.get(0).set())
                .names()
                .shortName(className);
    }

    List<Finding> of(ResolvedProfile profile) {
        return sorted(ofProfile.get(profile.number()));
    }

    /** Whether a profile is not whole because of what a partial profile says that it inherits. */
    boolean isBrokenByParent(ResolvedProfile profile) {
        return brokenByParent.get(profile.number());
    }

    private static List<Finding> sorted(List<Finding> findings) {
        Map<String, Finding> once = new HashMap<>();
        findings.forEach(finding -> once.merge(finding.identity(), finding, Finding::joinedWith));
        return once.values().stream().sorted(Finding.ORDER).toList();
    }
}
