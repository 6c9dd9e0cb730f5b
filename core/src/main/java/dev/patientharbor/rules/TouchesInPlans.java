package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Demand;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.survey.Touch;
import dev.patientharbor.survey.TouchKind;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Reports what plans hold that reaches outside where a rule forbids it. Bodies are read for it. */
final class TouchesInPlans {

    private final ResolvedSet set;
    private final PlanTouches touches;

    TouchesInPlans(ResolvedSet set) {
        this.set = set;
        touches = new PlanTouches(set);
    }

    /** A class or factory, and how it reaches what is forbidden. */
    private record Reaching(Blueprint maker, Touch touch) {}

    /** Reports each class or factory in a plan that touches what the rule forbids. */
    void check(RuleContext context, Wiring wiring, Demand demand) {
        TouchKind forbidden = TouchKind.of(demand.words().get(0).text()).orElseThrow();
        Map<String, List<Integer>> seats = new TreeMap<>();
        Map<String, Reaching> found = new HashMap<>();
        for (int i = 0; i < wiring.reachedSize(); i++) {
            int seat = wiring.reached(i);
            PlanTouches.makers(wiring.outcome(seat))
                    .forEach(
                            maker ->
                                    touches.of(maker).stream()
                                            .filter(touch -> touch.kind() == forbidden)
                                            .forEach(
                                                    touch -> {
                                                        found.put(
                                                                maker.maker(),
                                                                new Reaching(maker, touch));
                                                        seats.computeIfAbsent(
                                                                        maker.maker(),
                                                                        key -> new ArrayList<>())
                                                                .add(seat);
                                                    }));
        }
        seats.forEach((name, held) -> report(context, wiring, held, demand, found.get(name)));
    }

    private void report(
            RuleContext context,
            Wiring wiring,
            List<Integer> seats,
            Demand demand,
            Reaching reaching) {
        SlotOutcome outcome = wiring.outcome(seats.get(0));
        Touch touch = reaching.touch();
        String who = reaching.maker().className();
        SourcePosition at =
                outcome.binding()
                        .map(binding -> binding.declared().at())
                        .orElse(SourcePosition.classNamed(who));
        String slot = set.text(seats.get(0));
        String profile = wiring.profile().declared().name();
        Finding finding =
                Finding.of(
                                FindingKinds.RULE_BROKEN,
                                at,
                                List.of(slot, demand.kind().word(), touch.kind().word(), who),
                                set.maker(reaching.maker())
                                        + " touches "
                                        + touch.kind().phrase()
                                        + ", and nothing in "
                                        + profile
                                        + " may.")
                        .with("way", way(context, touch))
                        .with("where", touch.at().text())
                        .with("rule", demand.at().text())
                        .with(
                                "do",
                                outcome.binding().isPresent()
                                        ? "bind a stand-in there, or take the rule back for this"
                                                + " profile"
                                        : "have "
                                                + context.wording().shortName(who)
                                                + " ask for what it reaches by, or take the rule"
                                                + " back for this profile");
        context.reporter().report(wiring, seats, finding);
    }

    private static String way(RuleContext context, Touch touch) {
        return touch.way().stream()
                .map(
                        step -> {
                            int dot = step.lastIndexOf('.');
                            return context.wording().shortName(step.substring(0, dot))
                                    + step.substring(dot);
                        })
                .collect(Collectors.joining(" → "));
    }
}
