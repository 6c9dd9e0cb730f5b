package dev.patientharbor.check;

import dev.patientharbor.assembly.Assembly;
import dev.patientharbor.explaining.NeedExplanation;
import dev.patientharbor.explaining.ProfileExplanation;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.rosters.AssemblyMaker;
import dev.patientharbor.rosters.NeedExplainer;
import dev.patientharbor.rosters.ProfileExplainer;
import dev.patientharbor.rosters.RosterMaker;
import dev.patientharbor.texts.NearNames;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.wiring.Wiring;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiFunction;
import java.util.function.Predicate;

/** What the profiles of a set answer when they are asked: each by the side that checks it. */
final class ProfileAnswers {

    private final List<Finding> ofSet;
    private final List<ResolvedSet> sides;
    private final List<String> names;
    private final Map<String, Integer> numbers = new HashMap<>();
    private final Map<Integer, ResolvedSet> sideOf = new HashMap<>();

    /** Asked again and again by those that show answers; a roster never changes. */
    private final Map<String, Roster> rosters = new ConcurrentHashMap<>();

    /**
     * @param names the profiles, in the order of the file
     * @param ofSet what was found in the file as a whole: why there is no profile, if there is none
     */
    ProfileAnswers(List<ResolvedSet> sides, List<String> names, List<Finding> ofSet) {
        this.ofSet = List.copyOf(ofSet);
        this.sides = List.copyOf(sides);
        this.names = List.copyOf(names);
        for (int i = 0; i < names.size(); i++) {
            numbers.put(names.get(i), i);
        }
        for (ResolvedSet side : sides) {
            side.wirings().keySet().forEach(profile -> sideOf.put(profile, side));
        }
    }

    /**
     * The number of a profile, from 0.
     *
     * @throws IllegalArgumentException if there is no such profile
     */
    int number(String profile) {
        Integer number = numbers.get(RequiredArgument.of(profile, "the name of a profile"));
        if (number == null) {
            List<String> near = NearNames.of(profile, names);
            throw new IllegalArgumentException(
                    names.isEmpty()
                            ? "there is no profile " + profile + whyNone()
                            : "there is no profile "
                                    + profile
                                    + (near.isEmpty()
                                            ? "; there are " + String.join(", ", names)
                                            : "; did you mean " + String.join(", ", near) + "?"));
        }
        return number;
    }

    /** Why there is no profile at all. */
    private String whyNone() {
        return ofSet.stream()
                .filter(finding -> finding.kind().equals(FindingKinds.MALFORMED_FILE))
                .findFirst()
                .map(
                        finding ->
                                ", for "
                                        + finding.at().text()
                                        + " says: "
                                        + finding.message()
                                        + " patient-harbor check tells more.")
                .orElse("; there is none at all");
    }

    Roster roster(String profile) {
        Roster known = rosters.get(RequiredArgument.of(profile, "the name of a profile"));
        if (known == null) {
            known = ask(profile, RosterMaker::roster);
            rosters.put(profile, known);
        }
        return known;
    }

    List<NeedExplanation> explain(String profile, Predicate<RosterRow> wanted) {
        Roster roster = roster(profile);
        return ask(
                profile,
                (side, wiring) -> NeedExplainer.explanations(side, wiring, roster, wanted));
    }

    ProfileExplanation explainProfile(String profile) {
        return ProfileExplainer.explanation(sides, number(profile));
    }

    Assembly assembly(String profile) {
        return ask(profile, AssemblyMaker::assembly);
    }

    /**
     * Asks the side on which a profile is checked; one thread at a time, for it may read more
     * classes.
     */
    private <T> T ask(String profile, BiFunction<ResolvedSet, Wiring, T> question) {
        int number = number(profile);
        ResolvedSet side = sideOf.get(number);
        if (side == null) {
            throw new IllegalArgumentException("the profile " + profile + " is partial");
        }
        synchronized (side) {
            return question.apply(side, side.wirings().get(number));
        }
    }
}
