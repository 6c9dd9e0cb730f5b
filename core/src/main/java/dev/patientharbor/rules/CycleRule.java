package dev.patientharbor.rules;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FailureImpact;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Reports objects that need each other in a circle: one finding for each knot, with one shortest
 * path.
 */
final class CycleRule implements CheckRule {

    /**
     * The largest knot in which every slot is tried as the start of a shortest path; in a larger
     * one it is the first by name.
     */
    private static final int SMALL = 64;

    private static final int SHOWN = 12;

    /**
     * One step of a circle; the consumer and its need are empty where one slot stands in for
     * another.
     */
    private record Step(int from, int to, Optional<Blueprint> consumer, Optional<Need> need) {}

    @Override
    public void check(RuleContext context) {
        StrongComponents components = new StrongComponents(context.set().checked());
        for (Wiring wiring : context.set().checked()) {
            for (List<Integer> knot : components.of(wiring)) {
                report(context, wiring, knot);
            }
        }
    }

    private static void report(RuleContext context, Wiring wiring, List<Integer> knot) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        List<Integer> byName =
                knot.stream()
                        .sorted(Comparator.comparing(slot -> set.slots().slot(slot).text()))
                        .toList();
        List<Step> path = shortest(wiring, byName);
        int first = path.get(0).from();
        SourcePosition at =
                path.stream()
                        .map(step -> wiring.outcome(step.from()))
                        .flatMap(outcome -> outcome.binding().stream())
                        .map(binding -> binding.declared().at())
                        .findFirst()
                        .orElseGet(
                                () ->
                                        SourcePosition.classNamed(
                                                set.slots().slot(first).contract().text()));
        TreeSet<String> consumers = new TreeSet<>();
        Set<Integer> inKnot = new HashSet<>(knot);
        for (int seat : knot) {
            wiring.eachNeed(
                    seat,
                    (consumer, need, asked) -> {
                        if (inKnot.contains(asked)) {
                            consumers.add(consumer.className());
                        }
                    });
        }
        FailureImpact.TouchedConsumers touched = reporter.impact(wiring).of(knot);
        if (consumers.isEmpty()) {
            // Slots that are the same as each other: those who ask for them are touched.
            consumers.addAll(touched.consumers());
        }
        List<String> cause =
                path.stream()
                        .limit(SHOWN)
                        .map(step -> set.slots().slot(step.from()).text())
                        .toList();
        String steps = path.size() == 1 ? "1 step" : path.size() + " steps";
        reporter.report(
                wiring.profile(),
                Finding.of(
                                FindingKinds.CYCLE,
                                at,
                                cause,
                                set.text(first) + " needs itself, by " + steps + ".")
                        .with("path", lines(context, wiring, path))
                        .with("do", remedy(set, wiring, path))
                        .touching(List.copyOf(consumers), touched.entries()));
    }

    /**
     * Returns what to do: a class that wraps its own contract is a decorator, bound as if it were
     * what is wrapped.
     */
    private static String remedy(ResolvedSet set, Wiring wiring, List<Step> path) {
        Step only = path.get(0);
        SlotOutcome outcome = wiring.outcome(only.from());
        boolean wraps =
                path.size() == 1
                        && only.consumer().isPresent()
                        && outcome.blueprint().equals(only.consumer())
                        && set.slots()
                                .slot(only.need().orElseThrow().slot())
                                .contract()
                                .equals(set.slots().slot(only.from()).contract());
        if (!wraps) {
            return "let one of these ask for a Supplier or a Provider of the next, which is met"
                    + " when it is asked; or put a supply in place of one that does not ask"
                    + " back";
        }
        String slot = set.text(only.from());
        String name = set.maker(only.consumer().get());
        return name
                + " wraps what it stands for: bind "
                + slot
                + " to what is wrapped, and write "
                + slot
                + ": ["
                + name
                + "] under decorators";
    }

    private static List<String> lines(RuleContext context, Wiring wiring, List<Step> path) {
        ResolvedSet set = context.set();
        FindingWording wording = context.wording();
        List<String> lines = new ArrayList<>();
        for (Step step : path.subList(0, Math.min(SHOWN, path.size()))) {
            String to = set.text(step.to());
            lines.add(
                    step.consumer().isPresent()
                            ? wording.named(step.from(), step.consumer().get())
                                    + " asks for "
                                    + to
                                    + " ("
                                    + wording.place(step.need().orElseThrow())
                                    + ")"
                            : set.text(step.from()) + link(wiring, step) + to);
        }
        if (path.size() > SHOWN) {
            lines.add(
                    "and "
                            + (path.size() - SHOWN)
                            + " more steps, back to "
                            + set.text(path.get(0).from()));
        }
        return lines;
    }

    private static String link(Wiring wiring, Step step) {
        SlotOutcome outcome = wiring.outcome(step.from());
        if (outcome.filledBy().isPresent()) {
            return " is filled by ";
        }
        return outcome.kind() == SlotOutcome.Kind.ALIAS ? " is the same as " : " holds ";
    }

    private static List<Step> shortest(Wiring wiring, List<Integer> knot) {
        List<Step> best = List.of();
        for (int start : knot.subList(0, knot.size() <= SMALL ? knot.size() : 1)) {
            List<Step> path = circle(wiring, new HashSet<>(knot), start);
            if (best.isEmpty() || path.size() < best.size()) {
                best = path;
            }
        }
        return best;
    }

    private static List<Step> circle(Wiring wiring, Set<Integer> knot, int start) {
        Map<Integer, Step> into = new HashMap<>();
        List<Integer> open = new ArrayList<>(List.of(start));
        for (int i = 0; i < open.size() && !into.containsKey(start); i++) {
            for (Step step : steps(wiring, open.get(i))) {
                if (knot.contains(step.to()) && into.putIfAbsent(step.to(), step) == null) {
                    open.add(step.to());
                }
            }
        }
        List<Step> path = new ArrayList<>();
        Step step = into.get(start);
        path.add(step);
        while (step.from() != start) {
            step = into.get(step.from());
            path.add(step);
        }
        java.util.Collections.reverse(path);
        return path;
    }

    private static List<Step> steps(Wiring wiring, int seat) {
        List<Step> steps = new ArrayList<>();
        int[] needs = wiring.needs(seat);
        for (int to : wiring.leadsTo(seat, false)) {
            if (Arrays.stream(needs).noneMatch(asked -> asked == to)) {
                steps.add(new Step(seat, to, Optional.empty(), Optional.empty()));
            }
        }
        wiring.eachNeed(
                seat,
                (consumer, need, asked) ->
                        steps.add(new Step(seat, asked, Optional.of(consumer), Optional.of(need))));
        return steps;
    }
}
