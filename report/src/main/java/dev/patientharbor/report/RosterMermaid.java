package dev.patientharbor.report;

import dev.patientharbor.graph.GraphEdge;
import dev.patientharbor.graph.GraphNode;
import dev.patientharbor.graph.ObjectGraph;
import dev.patientharbor.plan.RosterSource;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.VisibleText;
import java.util.List;
import java.util.stream.Collectors;

/** Writes the graph of a profile as a flowchart in the language of Mermaid, for Markdown pages. */
public final class RosterMermaid {

    private RosterMermaid() {}

    /** The whole text; it ends with {@code \n}. */
    public static String render(RosterSource source, ObjectGraph graph) {
        RequiredArgument.of(source, "source");
        RequiredArgument.of(graph, "graph");
        StringBuilder text = new StringBuilder("flowchart LR\n");
        for (GraphNode node : graph.nodes()) {
            GraphNodeText box = GraphNodeText.of(source, node);
            text.append("  ")
                    .append(node.id())
                    .append("[")
                    .append(quoted(box.lines()))
                    .append("]:::")
                    .append(className(GraphShape.of(box.kind())))
                    .append("\n");
        }
        for (GraphEdge edge : graph.edges()) {
            text.append("  ")
                    .append(edge.from())
                    .append(" -->|")
                    .append(quoted(List.of(edge.need())))
                    .append("| ")
                    .append(edge.to())
                    .append("\n");
        }
        text.append("  classDef entryConsumer stroke-width:3px\n");
        text.append("  classDef realThing stroke-width:1px\n");
        text.append("  classDef standIn stroke-dasharray:6 4\n");
        text.append("  classDef unmetNeed stroke-width:3px,stroke-dasharray:2 3,stroke:#b00020\n");
        return text.toString();
    }

    private static String className(GraphShape shape) {
        return switch (shape) {
            case ENTRY -> "entryConsumer";
            case REAL -> "realThing";
            case STAND_IN -> "standIn";
            case UNMET -> "unmetNeed";
        };
    }

    /** A text in quotes; what would be markup there stands as its number. */
    private static String quoted(List<String> lines) {
        return lines.stream()
                .map(RosterMermaid::escaped)
                .collect(Collectors.joining("<br/>", "\"", "\""));
    }

    private static String escaped(String line) {
        StringBuilder text = new StringBuilder();
        VisibleText.of(line)
                .codePoints()
                .forEach(
                        point -> {
                            if ("\"#&<>;`\\*_~|".indexOf(point) >= 0) {
                                text.append('#').append(point).append(';');
                            } else {
                                text.appendCodePoint(point);
                            }
                        });
        return text.toString();
    }
}
