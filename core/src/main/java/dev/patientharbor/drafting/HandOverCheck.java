package dev.patientharbor.drafting;

import dev.patientharbor.drafting.WiredObject.HandedNeed;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.LifetimeChoice;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.survey.HandOver;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.tracing.TracedObject;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Holds a roster against a hand wiring: the same classes, and the same objects, everywhere. */
public final class HandOverCheck {

    /** An object of the wiring, and where it stands in the roster. */
    private record Standing(
            WiredObject object,
            Optional<Answer.Seat> seat,
            Optional<SlotContent> around,
            Optional<String> difference) {}

    private final SlotContents contents;
    private final Map<String, List<RosterRow>> rows = new HashMap<>();
    private final Map<TracedObject, String> instances = new HashMap<>();
    private final Map<String, TracedObject> objects = new HashMap<>();
    private final List<HandOver> found = new ArrayList<>();
    private final Deque<Standing> open = new ArrayDeque<>();

    private HandOverCheck(SlotContents contents, Roster roster) {
        this.contents = contents;
        roster.rows()
                .forEach(
                        row ->
                                rows.computeIfAbsent(row.consumer(), key -> new ArrayList<>())
                                        .add(row));
    }

    /**
     * Holds a roster against what is handed over, from the entry consumers on.
     *
     * @return all that is handed over, by values too, in the order of {@link HandOver#ORDER}
     */
    public static List<HandOver> of(WiredGraph wiring, Roster roster) {
        HandOverCheck check = new HandOverCheck(wiring.contents(), roster);
        wiring.entries().forEach(entry -> check.follow(entry, Optional.empty()));
        check.run();
        check.found.sort(HandOver.ORDER);
        return check.found;
    }

    private void run() {
        Set<TracedObject> seen = new HashSet<>();
        while (!open.isEmpty()) {
            Standing standing = open.poll();
            if (!seen.add(standing.object().object())) {
                continue;
            }
            WiredObject object = standing.object();
            object.values()
                    .forEach(
                            (name, value) ->
                                    add(object, name, value.toString(), true, Optional.empty()));
            for (TracedObject.Call call : object.otherCalls()) {
                String why = "handed over by line " + call.line() + "; the method has no mark";
                add(object, call.method(), why, false, Optional.empty());
            }
            for (HandedNeed need : object.needs()) {
                hold(standing, need);
            }
        }
    }

    private void hold(Standing standing, HandedNeed need) {
        SlotContent content = contents.of(need);
        WiredObject object = standing.object();
        if (!content.isKnown()) {
            add(object, need.name(), why(content), false, Optional.empty());
            return;
        }
        if (standing.around().filter(of -> SlotContents.isAround(need, of.slot())).isPresent()) {
            // What a decorator is around stands in the row of who receives both.
            add(object, need.name(), words(content), true, standing.difference());
            return;
        }
        Optional<RosterRow> row =
                rows.getOrDefault(object.maker(), List.of()).stream()
                        .filter(each -> each.place().equals(need.place()))
                        .filter(each -> stands(each, standing.seat()))
                        .findFirst();
        Optional<String> difference;
        if (row.isEmpty()) {
            difference = Optional.of("no row of the roster");
            content.objects().forEach(each -> follow(each, Optional.empty()));
        } else {
            difference = difference(content, row.get().answer());
        }
        add(object, need.name(), words(content), true, difference);
    }

    private void add(
            WiredObject object,
            String need,
            String handed,
            boolean isUnderstood,
            Optional<String> held) {
        found.add(new HandOver(object.at(), object.maker(), need, handed, isUnderstood, held));
    }

    private static String words(SlotContent content) {
        return switch (content.form()) {
            case ABSENT -> "nothing";
            case UNKNOWN -> why(content);
            case ELEMENTS ->
                    content.elements().stream()
                            .map(
                                    element ->
                                            element.key().map(key -> key + ": ").orElse("")
                                                    + words(element.content()))
                            .collect(Collectors.joining(", ", "[", "]"));
            case OBJECT -> String.join(" → ", makers(content));
        };
    }

    private static List<String> makers(SlotContent content) {
        List<String> makers = new ArrayList<>();
        content.decorators().forEach(each -> makers.add(each.maker()));
        content.core().ifPresent(each -> makers.add(each.maker()));
        return makers;
    }

    private static boolean stands(RosterRow row, Optional<Answer.Seat> seat) {
        return seat.isEmpty()
                ? row.as().isEmpty() || row.as().get().contract().text().equals(row.consumer())
                : row.as().equals(Optional.of(seat.get().slot()))
                        && row.within().equals(seat.get().within());
    }

    private static String why(SlotContent content) {
        return content.unknown()
                .map(unknown -> unknown.what())
                .or(
                        () ->
                                content.elements().stream()
                                        .filter(element -> !element.content().isKnown())
                                        .map(element -> why(element.content()))
                                        .findFirst())
                .orElse("not known");
    }

    /** What differs between what is handed over and what the roster holds. */
    private Optional<String> difference(SlotContent content, Answer answer) {
        return switch (content.form()) {
            case ABSENT ->
                    answer.kind() == AnswerKind.ABSENT
                            ? Optional.empty()
                            : Optional.of(words(answer));
            case ELEMENTS -> ofElements(content, answer);
            case OBJECT -> ofObject(content, answer);
            case UNKNOWN -> Optional.of(why(content));
        };
    }

    private Optional<String> ofElements(SlotContent content, Answer answer) {
        List<Answer.Element> held = answer.elements();
        if (held.size() != content.elements().size()) {
            content.objects().forEach(object -> follow(object, Optional.empty()));
            return Optional.of(held.size() + " elements");
        }
        List<String> differences = new ArrayList<>();
        for (int i = 0; i < held.size(); i++) {
            SlotContent.Element wanted = content.elements().get(i);
            Optional<Answer.Element> there =
                    wanted.key().isEmpty()
                            ? Optional.of(held.get(i))
                            : held.stream()
                                    .filter(each -> each.key().equals(wanted.key().map(Key::named)))
                                    .findFirst();
            if (there.isEmpty()) {
                differences.add("nothing under " + wanted.key().orElse(""));
            } else {
                difference(wanted.content(), there.get().answer()).ifPresent(differences::add);
            }
        }
        return differences.isEmpty()
                ? Optional.empty()
                : Optional.of(String.join("; ", differences));
    }

    private Optional<String> ofObject(SlotContent content, Answer answer) {
        List<String> held = new ArrayList<>(answer.decorators());
        answer.implementation().ifPresent(held::add);
        boolean isFresh = answer.lifetime().filter(HandOverCheck::isFresh).isPresent();
        Optional<String> difference =
                makers(content).equals(held) ? Optional.empty() : Optional.of(words(answer));
        for (WiredObject decorator : content.decorators()) {
            open.add(new Standing(decorator, answer.fills(), Optional.of(content), difference));
        }
        follow(content.core().orElseThrow(), answer.fills());
        if (difference.isPresent()) {
            return difference;
        }
        return isFresh ? Optional.empty() : sameObject(content.core().orElseThrow(), answer);
    }

    private static boolean isFresh(LifetimeChoice choice) {
        return choice.lifetime() == Lifetime.FRESH;
    }

    private Optional<String> sameObject(WiredObject core, Answer answer) {
        if (answer.instance().isEmpty()) {
            return Optional.empty();
        }
        String label = answer.instance().get();
        String known = instances.putIfAbsent(core.object(), label);
        TracedObject other = objects.putIfAbsent(label, core.object());
        if (known != null && !known.equals(label)) {
            return Optional.of("another object of the same class than elsewhere");
        }
        return other != null && other != core.object()
                ? Optional.of("the same object as elsewhere, where the wiring makes two")
                : Optional.empty();
    }

    private void follow(WiredObject object, Optional<Answer.Seat> seat) {
        open.add(new Standing(object, seat, Optional.empty(), Optional.empty()));
    }

    private static String words(Answer answer) {
        List<String> held = new ArrayList<>(answer.decorators());
        held.add(answer.implementation().orElse(answer.kind().word()));
        return String.join(" → ", held);
    }
}
