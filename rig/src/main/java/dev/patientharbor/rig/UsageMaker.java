package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.behaviours.CallRecord;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Answer.Seat;
import dev.patientharbor.plan.RosterNeed;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.standins.Call;
import dev.patientharbor.terms.Slot;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Puts what a rig saw beside what its plan says. */
final class UsageMaker {

    private final RigState state;
    private final Map<Seat, Answer> planned = new HashMap<>();

    /** Who receives something in a slot, decorators included. */
    private final Map<Slot, Set<String>> receivers = new HashMap<>();

    /** The calls that were seen, by where they were. */
    private final Map<CallRecord.Place, List<Call>> calls = new HashMap<>();

    UsageMaker(RigState state) {
        this.state = state;
        for (RosterRow row : state.stations().assembly().roster().rows()) {
            add(row.answer(), row.consumer());
        }
        for (CallRecord.EnteredCall call : state.calls().all()) {
            calls.computeIfAbsent(call.place(), it -> new ArrayList<>()).add(call.call());
        }
    }

    private void add(Answer answer, String consumer) {
        answer.elements().forEach(element -> add(element.answer(), consumer));
        if (answer.fills().isPresent() && answer.elements().isEmpty()) {
            Seat seat = answer.fills().get();
            planned.put(seat, answer);
            Set<String> all = receivers.computeIfAbsent(seat.slot(), slot -> new HashSet<>());
            all.add(consumer);
            all.addAll(answer.decorators());
        }
    }

    RigUsage usage() {
        List<RigUsage.Line> lines = new ArrayList<>();
        Set<Integer> entries = new HashSet<>(state.stations().assembly().entries());
        List<AssemblyPart> parts = state.stations().assembly().parts();
        for (int i = 0; i < parts.size(); i++) {
            Optional<AssemblyPart.Made> made =
                    parts.get(i).made().filter(part -> part.making().standsForObject());
            if (made.isPresent()) {
                int count = state.made(i);
                if (count > 0 || entries.contains(i) || planned.containsKey(made.get().seat())) {
                    lines.add(line(made.get(), count));
                }
            }
        }
        lines.sort(
                Comparator.comparing((RigUsage.Line line) -> !line.planned().isEmpty())
                        .thenComparing(RigUsage.Line::place));
        long made = lines.stream().filter(line -> line.made() > 0).count();
        return new RigUsage(
                state.profile() + ": " + made + " of " + lines.size() + " were made",
                lines,
                planned);
    }

    private RigUsage.Line line(AssemblyPart.Made made, int count) {
        // What is inside of the outermost watch sees the same calls again.
        Optional<CallRecord.Place> watch = CallObservers.of(made).stream().findFirst();
        List<Call> seen = watch.map(calls::get).orElse(List.of());
        Set<String> known = receivers.getOrDefault(made.slot(), Set.of());
        List<String> strangers =
                seen.stream()
                        .flatMap(call -> call.caller().stream())
                        .distinct()
                        .filter(caller -> !isOneOf(known, caller))
                        .sorted()
                        .toList();
        return new RigUsage.Line(
                made.seat(),
                Optional.ofNullable(planned.get(made.seat()))
                        .map(answer -> new RosterNeed(answer).received())
                        .orElse(""),
                count,
                watch.filter(it -> count > 0).map(it -> seen.size()),
                strangers);
    }

    /** Whether it is one of these classes, or a class within one. */
    private static boolean isOneOf(Set<String> known, String caller) {
        String at = caller;
        while (!known.contains(at) && at.indexOf('$') > 0) {
            at = at.substring(0, at.lastIndexOf('$'));
        }
        return known.contains(at);
    }
}
