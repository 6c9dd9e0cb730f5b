package dev.patientharbor.report;

import dev.patientharbor.graph.GraphEdge;
import dev.patientharbor.graph.GraphNode;
import dev.patientharbor.graph.ObjectGraph;
import dev.patientharbor.plan.RosterSource;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.VisibleText;
import java.util.List;
import java.util.stream.Collectors;

/** Writes the graph of a profile in the DOT language of Graphviz. */
public final class RosterDot {

    private RosterDot() {}

    /** The whole text; it ends with {@code \n}. */
    public static String render(RosterSource source, ObjectGraph graph) {
        RequiredArgument.of(source, "source");
        RequiredArgument.of(graph, "graph");
        StringBuilder text = new StringBuilder("digraph ").append(quoted(List.of(graph.profile())));
        text.append(
                " {\n  rankdir=LR;\n  node [shape=box, fontname=\"monospace\", fontsize=10];\n");
        text.append("  edge [fontname=\"monospace\", fontsize=9];\n");
        for (GraphNode node : graph.nodes()) {
            GraphNodeText box = GraphNodeText.of(source, node);
            text.append("  ")
                    .append(node.id())
                    .append(" [label=")
                    .append(quoted(box.lines()))
                    .append(", class=")
                    .append(quoted(List.of(box.kind())))
                    .append(style(box.kind()))
                    .append("];\n");
        }
        for (GraphEdge edge : graph.edges()) {
            text.append("  ")
                    .append(edge.from())
                    .append(" -> ")
                    .append(edge.to())
                    .append(" [label=")
                    .append(quoted(List.of(edge.need())))
                    .append("];\n");
        }
        return text.append("}\n").toString();
    }

    /** Kinds by outline as well as by word. */
    private static String style(String kind) {
        return switch (GraphShape.of(kind)) {
            case ENTRY -> ", style=bold";
            case REAL -> "";
            case STAND_IN -> ", style=dashed";
            case UNMET -> ", style=\"bold,dotted\", color=red";
        };
    }

    /** A text in quotes, in which a backslash begins nothing but a new line. */
    private static String quoted(List<String> lines) {
        return lines.stream()
                .map(VisibleText::of)
                .map(line -> line.replace("\\", "\\\\").replace("\"", "\\\""))
                .collect(Collectors.joining("\\n", "\"", "\""));
    }
}
