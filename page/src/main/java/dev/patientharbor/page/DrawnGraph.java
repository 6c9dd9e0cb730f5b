package dev.patientharbor.page;

import dev.patientharbor.graph.GraphNode;
import dev.patientharbor.graph.ObjectGraph;
import dev.patientharbor.plan.RosterSource;
import dev.patientharbor.report.GraphNodeText;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A graph with what stands in its boxes, and where they stand.
 *
 * @param boxes what stands in them, in the order of the nodes
 * @param sizes how large they are
 * @param layout where they and the lines between them are
 */
record DrawnGraph(
        ObjectGraph graph,
        List<GraphNodeText> boxes,
        List<GraphLayout.Box> sizes,
        GraphLayout layout) {

    static final int LINE = 16;
    static final int PADDING = 8;

    /** The width of a character of the type that boxes are written in, 12 pixels high. */
    private static final double CHARACTER = 7.25;

    static DrawnGraph of(RosterSource source, ObjectGraph graph) {
        return of(source, graph, new HashMap<>());
    }

    /**
     * @param known layouts by the boxes and lines that they are of; one that is made is added
     */
    static DrawnGraph of(
            RosterSource source, ObjectGraph graph, Map<List<Object>, GraphLayout> known) {
        List<GraphNodeText> boxes =
                graph.nodes().stream().map(node -> GraphNodeText.of(source, node)).toList();
        List<GraphLayout.Box> sizes = boxes.stream().map(DrawnGraph::size).toList();
        Map<String, Integer> numbers = new HashMap<>();
        for (GraphNode node : graph.nodes()) {
            numbers.put(node.id(), numbers.size());
        }
        List<GraphLayout.Line> lines =
                graph.edges().stream()
                        .map(
                                edge ->
                                        new GraphLayout.Line(
                                                numbers.get(edge.from()), numbers.get(edge.to())))
                        .toList();
        GraphLayout layout =
                known.computeIfAbsent(List.of(sizes, lines), same -> GraphLayout.of(sizes, lines));
        return new DrawnGraph(graph, boxes, sizes, layout);
    }

    private static GraphLayout.Box size(GraphNodeText box) {
        int widest = box.lines().stream().mapToInt(String::length).max().orElse(0);
        return new GraphLayout.Box(
                (int) Math.ceil(widest * CHARACTER) + 2 * PADDING,
                box.lines().size() * LINE + 2 * PADDING);
    }
}
