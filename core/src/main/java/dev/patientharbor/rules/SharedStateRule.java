package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.survey.SharedState;
import dev.patientharbor.surveying.HardWiredFinder;
import dev.patientharbor.surveying.SharedStateFinder;
import dev.patientharbor.surveying.SharedStateFinder.Use;
import dev.patientharbor.surveying.TouchTable;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Reports consumers in a plan that use an object of which there is one for the whole program, and
 * whose state changes: once for a set. What is hard-wired is told as that.
 */
final class SharedStateRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        PlanConsumers consumers = new PlanConsumers(context.set());
        HardWiredFinder hardWired = consumers.finder();
        SharedStateFinder finder =
                SharedStateFinder.of(
                        context.set().code(),
                        () ->
                                TouchTable.ofJdk()
                                        .with(context.set().declared().marks().touchPatterns()));
        finder.note(consumers.names());
        for (String name : consumers.names()) {
            List<Use> uses = new ArrayList<>(finder.in(name));
            if (!uses.isEmpty()) {
                Set<String> told =
                        hardWired.in(name).stream()
                                .map(wiring -> wiring.at().text() + wiring.source())
                                .collect(Collectors.toSet());
                uses.removeIf(use -> told.contains(use.at().text() + use.source()));
                Map<String, List<Use>> byHolder = new TreeMap<>();
                uses.forEach(
                        use ->
                                byHolder.computeIfAbsent(
                                                use.state().className(), key -> new ArrayList<>())
                                        .add(use));
                byHolder.forEach(
                        (holder, places) ->
                                context.reporter().report(finding(context, name, places)));
            }
        }
    }

    private static Finding finding(RuleContext context, String consumer, List<Use> places) {
        FindingWording wording = context.wording();
        String name = wording.shortName(consumer);
        SharedState first = places.get(0).state();
        boolean isOwn = first.className().equals(consumer);
        return Finding.of(
                        FindingKinds.SHARED_STATE,
                        places.get(0).at().position(),
                        List.of(consumer, first.className()),
                        name
                                + " uses "
                                + places.get(0).source()
                                + (isOwn ? ", a static field" : "")
                                + ": its state is one for the whole program, and no profile can"
                                + " give "
                                + name
                                + " another.")
                .with("where", places.stream().map(SharedStateRule::where).distinct().toList())
                .with(
                        "state",
                        places.stream()
                                .map(Use::state)
                                .map(state -> change(wording, state))
                                .distinct()
                                .toList())
                .with(
                        "do",
                        isOwn
                                ? "keep it in an object that " + name + " asks for"
                                : "have " + name + " ask for it in its constructor")
                .touching(List.of(consumer), List.of());
    }

    private static String where(Use use) {
        return use.at().text() + ", " + use.at().member() + ": " + use.source();
    }

    private static String change(FindingWording wording, SharedState state) {
        return wording.shortName(state.className())
                + '.'
                + state.field()
                + ": "
                + state.change().orElseThrow();
    }
}
