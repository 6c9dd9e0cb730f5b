package dev.patientharbor.graph;

import dev.patientharbor.texts.RequiredArgument;

/**
 * That one object holds another. Immutable.
 *
 * @param from the id of the one that asks
 * @param to the id of the one that is received
 * @param need the need through which; of a member of a collection with its key or its number:
 *     {@code feeds[coast]}
 */
public record GraphEdge(String from, String to, String need) {
    public GraphEdge {
        RequiredArgument.of(from, "from");
        RequiredArgument.of(to, "to");
        RequiredArgument.of(need, "need");
    }
}
