package dev.patientharbor.graph;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.terms.Slot;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Makes the graph of one roster. */
final class GraphMaker {

    /** The nodes by who they are: an entry consumer, or a seat and what is in it. */
    private final Map<List<String>, GraphNode> nodes = new LinkedHashMap<>();

    /** Who stands in a slot: a class, by the level, to the key of its node. */
    private final Map<List<String>, Map<String, List<String>>> standing = new HashMap<>();

    private final Set<GraphEdge> edges = new LinkedHashSet<>();

    ObjectGraph graph(Roster roster) {
        for (RosterRow row : roster.rows()) {
            if (row.as().isEmpty()) {
                add(
                        List.of("entry", row.consumer()),
                        Optional.of(row.consumer()),
                        Optional.empty(),
                        Optional.empty());
            }
        }
        roster.rows().forEach(row -> addReceived(row, row.answer()));
        for (RosterRow row : roster.rows()) {
            for (GraphNode holder : holders(row)) {
                connect(holder, row.need(), row, row.answer());
            }
        }
        return new ObjectGraph(roster.profile(), List.copyOf(nodes.values()), List.copyOf(edges));
    }

    private GraphNode add(
            List<String> key,
            Optional<String> consumer,
            Optional<Answer.Seat> seat,
            Optional<Answer> answer) {
        return nodes.computeIfAbsent(
                key, same -> new GraphNode("n" + (nodes.size() + 1), consumer, seat, answer));
    }

    /**
     * What is received, and each member of a collection; an entry consumer has its node already.
     */
    private void addReceived(RosterRow row, Answer answer) {
        if (answer.kind() == AnswerKind.COLLECTION) {
            answer.elements().forEach(element -> addReceived(row, element.answer()));
            return;
        }
        if (answer.kind() == AnswerKind.ABSENT) {
            return;
        }
        Answer.Seat seat = seat(row, answer);
        List<String> key = key(seat, answer);
        add(key, Optional.empty(), Optional.of(seat), Optional.of(answer));
        List<String> makers = new ArrayList<>(answer.decorators());
        answer.implementation().ifPresent(makers::add);
        for (String maker : makers) {
            standing.computeIfAbsent(
                            List.of(maker, seat.slot().text()), same -> new LinkedHashMap<>())
                    .putIfAbsent(seat.within().orElse(""), key);
        }
    }

    /** Where it stands; what is unmet stands in the slot that is asked for. */
    private static Answer.Seat seat(RosterRow row, Answer answer) {
        return answer.fills().orElseGet(() -> new Answer.Seat(row.slot(), Optional.empty()));
    }

    private static List<String> key(Answer.Seat seat, Answer answer) {
        return List.of(
                "seat",
                seat.slot().text(),
                seat.within().orElse(""),
                answer.kind().word(),
                answer.implementation().orElse(""));
    }

    /** The nodes that ask in a row: that level, or broader ones if only decorators stand there. */
    private List<GraphNode> holders(RosterRow row) {
        if (row.as().isEmpty()) {
            return List.of(nodes.get(List.of("entry", row.consumer())));
        }
        Map<String, List<String>> levels =
                standing.getOrDefault(
                        List.of(row.consumer(), row.as().map(Slot::text).orElse("")), Map.of());
        List<String> exact = levels.get(row.within().orElse(""));
        return exact == null
                ? levels.values().stream().distinct().map(nodes::get).toList()
                : List.of(nodes.get(exact));
    }

    private void connect(GraphNode holder, String need, RosterRow row, Answer answer) {
        if (answer.kind() == AnswerKind.COLLECTION) {
            int number = 1;
            for (Answer.Element element : answer.elements()) {
                String member = element.key().map(key -> key.written()).orElse("" + number);
                connect(holder, need + '[' + member + ']', row, element.answer());
                number++;
            }
        } else if (answer.kind() != AnswerKind.ABSENT) {
            GraphNode held = nodes.get(key(seat(row, answer), answer));
            edges.add(new GraphEdge(holder.id(), held.id(), need));
        }
    }
}
