package dev.patientharbor.profiles;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.drafting.HandOverCheck;
import dev.patientharbor.drafting.WiringDraft;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.survey.CodeLocation;
import dev.patientharbor.survey.HandOver;
import dev.patientharbor.texts.ShortName;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Tells where a profile gives something else than a method hands over that wires by hand. */
final class WiringComparer {

    private WiringComparer() {}

    /**
     * The findings of one profile.
     *
     * @param ways what the method does, by each of its ways; the one that is called like the
     *     profile counts, or else the one that differs least
     * @param method the method, as it was named
     */
    static List<Finding> findings(
            Verdict verdict, String profile, List<WiringDraft> ways, String method) {
        Roster roster = verdict.roster(profile);
        List<HandOver> nearest =
                ways.stream()
                        .filter(
                                way ->
                                        way.name().equals(profile)
                                                || ways.stream()
                                                        .noneMatch(
                                                                other ->
                                                                        other.name()
                                                                                .equals(profile)))
                        .map(way -> HandOverCheck.of(way.wiring(), roster))
                        .min(Comparator.comparing(WiringComparer::differing))
                        .orElseThrow();
        List<Finding> findings = new ArrayList<>();
        nearest.stream()
                .filter(each -> each.isUnderstood() && !each.isSame())
                .map(each -> differs(each, profile, method))
                .forEach(findings::add);
        List<String> unclear =
                nearest.stream()
                        .filter(each -> !each.isUnderstood())
                        .map(each -> each.at().text() + " " + who(each) + ": " + each.handed())
                        .toList();
        if (!unclear.isEmpty()) {
            findings.add(unclear(nearest.size(), unclear, method));
        }
        return findings;
    }

    private static long differing(List<HandOver> handOvers) {
        return handOvers.stream().filter(each -> each.isUnderstood() && !each.isSame()).count();
    }

    private static Finding differs(HandOver each, String profile, String method) {
        String held = each.held().orElseThrow();
        String given = held.equals(each.handed()) ? "another one" : ShortName.everywhere(held);
        return Finding.of(
                        FindingKinds.WIRED_OTHERWISE,
                        position(each.at()),
                        each.consumer() + " " + each.need(),
                        who(each)
                                + " is handed "
                                + ShortName.everywhere(each.handed())
                                + " by "
                                + method
                                + ", and "
                                + profile
                                + " gives it "
                                + given
                                + ".")
                .with("handed", each.handed())
                .with("given", held)
                .with("do", "bind what is handed over, or change what is")
                .touching(List.of(each.consumer()), List.of());
    }

    private static Finding unclear(int all, List<String> lines, String method) {
        return Finding.of(
                        FindingKinds.WIRED_OTHERWISE,
                        SourcePosition.classNamed(method.substring(0, (method + '#').indexOf('#'))),
                        method,
                        lines.size()
                                + " of "
                                + all
                                + " hand-overs of "
                                + method
                                + (lines.size() == 1 ? " is" : " are")
                                + " not understood, and not compared.")
                .with("these", lines)
                .with("do", "look at them by eye")
                .asNote();
    }

    private static String who(HandOver each) {
        return ShortName.of(each.consumer()) + " (" + each.need() + ")";
    }

    private static SourcePosition position(CodeLocation at) {
        return at.file()
                .filter(file -> at.line() > 0)
                .<SourcePosition>map(file -> new SourcePosition.InSource(file, at.line()))
                .orElseGet(() -> SourcePosition.classNamed(at.className()));
    }
}
