package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Demand;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.survey.Touch;
import dev.patientharbor.survey.TouchKind;
import dev.patientharbor.surveying.TouchFinder;
import dev.patientharbor.surveying.TouchTable;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Reports what plans hold that reaches outside where a rule forbids it. Bodies are read for it. */
final class TouchesInPlans {

    private final ResolvedSet set;
    private Map<String, List<Touch>> touches;

    TouchesInPlans(ResolvedSet set) {
        this.set = set;
    }

    /** Reports each class or factory in a plan that touches what the rule forbids. */
    void check(RuleContext context, Wiring wiring, Demand demand) {
        TouchKind forbidden = TouchKind.of(demand.words().get(0).text()).orElseThrow();
        Map<String, List<Integer>> seats = new TreeMap<>();
        for (int i = 0; i < wiring.reachedSize(); i++) {
            int seat = wiring.reached(i);
            makers(wiring.outcome(seat))
                    .forEach(
                            maker ->
                                    seats.computeIfAbsent(name(maker), key -> new ArrayList<>())
                                            .add(seat));
        }
        seats.forEach(
                (name, held) ->
                        touches().getOrDefault(name, List.of()).stream()
                                .filter(touch -> touch.kind() == forbidden)
                                .forEach(touch -> report(context, wiring, held, demand, touch)));
    }

    /** What all plans of the set together touch, worked out when the first rule asks. */
    private Map<String, List<Touch>> touches() {
        if (touches == null) {
            TreeSet<String> names = new TreeSet<>();
            set.eachDistinctSeat(
                    (wiring, seat) ->
                            makers(wiring.outcome(seat)).forEach(maker -> names.add(name(maker))));
            touches =
                    new TouchFinder(
                                    set.code(),
                                    TouchTable.ofJdk().with(set.declared().marks().touchPatterns()))
                            .of(names);
        }
        return touches;
    }

    private static Stream<Blueprint> makers(SlotOutcome outcome) {
        return Stream.concat(
                outcome.blueprint().stream(),
                outcome.decorators().stream()
                        .map(ResolvedDecorator::blueprint)
                        .flatMap(Optional::stream));
    }

    private static String name(Blueprint maker) {
        return maker.className() + maker.method().map(method -> '#' + method).orElse("");
    }

    private void report(
            RuleContext context, Wiring wiring, List<Integer> seats, Demand demand, Touch touch) {
        SlotOutcome outcome = wiring.outcome(seats.get(0));
        String start = touch.way().get(0);
        String who = start.substring(0, start.lastIndexOf('.'));
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
                                context.wording().shortName(who)
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
