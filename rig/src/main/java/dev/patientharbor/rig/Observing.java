package dev.patientharbor.rig;

import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Answer.Seat;
import dev.patientharbor.plan.Layer;
import dev.patientharbor.plan.Making;
import dev.patientharbor.plan.Part;
import dev.patientharbor.plan.Received;
import dev.patientharbor.plan.Row;
import dev.patientharbor.standins.Call;
import dev.patientharbor.standins.CallRecord;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Puts what a rig saw beside what its plan says. */
final class Observing {

    private final Live live;
    private final Map<Seat, Answer> planned = new HashMap<>();

    /** Who receives something in a slot, decorators included, by the text of the slot. */
    private final Map<String, Set<String>> receivers = new HashMap<>();

    /** The calls that were seen, by the text of the slot and the level. */
    private final Map<List<String>, List<Call>> calls = new HashMap<>();

    Observing(Live live) {
        this.live = live;
        for (Row row : live.stations().assembly().roster().rows()) {
            add(row.answer(), row.consumer());
        }
        for (CallRecord.Entered one : live.calls().all()) {
            calls.computeIfAbsent(
                            List.of(one.call().slot(), one.within()), place -> new ArrayList<>())
                    .add(one.call());
        }
    }

    private void add(Answer answer, String consumer) {
        answer.elements().forEach(one -> add(one.answer(), consumer));
        if (answer.fills().isPresent() && answer.elements().isEmpty()) {
            Seat seat = answer.fills().get();
            planned.put(seat, answer);
            Set<String> all =
                    receivers.computeIfAbsent(Words.slot(seat.slot()), slot -> new HashSet<>());
            all.add(consumer);
            all.addAll(answer.decorators());
        }
    }

    Usage usage() {
        List<Usage.Line> lines = new ArrayList<>();
        Set<Integer> entries = new HashSet<>(live.stations().assembly().entries());
        List<Part> parts = live.stations().assembly().parts();
        for (int i = 0; i < parts.size(); i++) {
            if (parts.get(i) instanceof Part.Made made
                    && !(made.making() instanceof Making.NoObject)) {
                int count = live.made(i);
                if (count > 0 || entries.contains(i) || planned.containsKey(made.seat())) {
                    lines.add(line(made, count));
                }
            }
        }
        lines.sort(
                Comparator.comparing((Usage.Line one) -> !one.planned().isEmpty())
                        .thenComparing(Usage.Line::place));
        long made = lines.stream().filter(one -> one.made() > 0).count();
        return new Usage(
                live.profile() + ": " + made + " of " + lines.size() + " were made", lines);
    }

    private Usage.Line line(Part.Made made, int count) {
        String slot = Words.slot(made.slot());
        List<Call> seen =
                calls.getOrDefault(List.of(slot, made.seat().within().orElse("")), List.of());
        Set<String> known = receivers.getOrDefault(slot, Set.of());
        List<String> strangers =
                seen.stream()
                        .flatMap(one -> one.caller().stream())
                        .distinct()
                        .filter(caller -> !isOneOf(known, caller))
                        .sorted()
                        .toList();
        return new Usage.Line(
                made.seat(),
                Optional.ofNullable(planned.get(made.seat()))
                        .map(answer -> new Received(answer).received())
                        .orElse(""),
                count,
                count > 0 && isWatched(made) ? Optional.of(number(seen)) : Optional.empty(),
                strangers);
    }

    /** How many calls it was, where a spy outside and a stub inside saw the same ones. */
    private static int number(List<Call> seen) {
        Map<String, Integer> byTarget = new HashMap<>();
        seen.forEach(call -> byTarget.merge(call.target(), 1, Integer::sum));
        return byTarget.values().stream().mapToInt(it -> it).max().orElse(0);
    }

    /** Whether it is one of these classes, or a class within one. */
    private static boolean isOneOf(Set<String> known, String caller) {
        String at = caller;
        while (!known.contains(at) && at.indexOf('$') > 0) {
            at = at.substring(0, at.lastIndexOf('$'));
        }
        return known.contains(at);
    }

    private static boolean isWatched(Part.Made made) {
        return made.making() instanceof Making.Mocked
                || made.making() instanceof Making.Answering
                || made.layers().stream()
                        .anyMatch(
                                layer ->
                                        layer instanceof Layer.OfOurs ours
                                                && ours.builtIn() instanceof BuiltIn.Spy);
    }
}
