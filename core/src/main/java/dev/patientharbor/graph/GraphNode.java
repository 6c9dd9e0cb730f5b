package dev.patientharbor.graph;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Optional;

/**
 * An object of a profile, or what stands in for one. Immutable.
 *
 * @param id its name in the graph: {@code n1}, {@code n2} …, in the order of the nodes
 * @param consumer the binary name of the class of an entry consumer, which nobody holds; empty for
 *     what is received
 * @param seat the slot that it fills; empty for an entry consumer
 * @param answer what is received; empty for an entry consumer
 */
public record GraphNode(
        String id, Optional<String> consumer, Optional<Answer.Seat> seat, Optional<Answer> answer) {
    public GraphNode {
        RequiredArgument.of(id, "id");
        RequiredArgument.of(consumer, "consumer");
        RequiredArgument.of(seat, "seat");
        RequiredArgument.of(answer, "answer");
    }
}
