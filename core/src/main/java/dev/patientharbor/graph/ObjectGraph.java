package dev.patientharbor.graph;

import dev.patientharbor.plan.Roster;
import dev.patientharbor.texts.RequiredArgument;
import java.util.List;
import java.util.stream.Collectors;

/**
 * The objects of a profile and who holds whom: entry consumers, then what is received, in the order
 * of the roster. What is absent on purpose has no node; what is unmet has one. Immutable.
 *
 * @param profile the profile
 * @param nodes each once; what is fresh for each need too
 * @param edges in the order of the roster
 */
public record ObjectGraph(String profile, List<GraphNode> nodes, List<GraphEdge> edges) {
    public ObjectGraph {
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(nodes, "nodes");
        RequiredArgument.of(edges, "edges");
        nodes = List.copyOf(nodes);
        edges = List.copyOf(edges);
    }

    /** Returns the graph of a roster. */
    public static ObjectGraph of(Roster roster) {
        return new GraphMaker().graph(RequiredArgument.of(roster, "roster"));
    }

    /** Returns a line for each edge, as a failed assertion shows it. */
    @Override
    public String toString() {
        return profile
                + edges.stream()
                        .map(edge -> "\n  " + edge.from() + " " + edge.need() + " " + edge.to())
                        .collect(Collectors.joining());
    }
}
