package dev.patientharbor.page;

import com.fasterxml.jackson.core.JsonGenerator;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.graph.GraphEdge;
import dev.patientharbor.graph.ObjectGraph;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.report.GraphNodeText;
import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** The graphs of the profiles, laid out; profiles whose boxes stand alike share the places. */
final class PageGraphs {

    private final Verdict verdict;
    private final List<Roster> rosters;
    private final JsonGenerator json;

    PageGraphs(Verdict verdict, List<Roster> rosters, JsonGenerator json) {
        this.verdict = verdict;
        this.rosters = rosters;
        this.json = json;
    }

    void write() throws IOException {
        Map<List<Object>, GraphLayout> known = new ConcurrentHashMap<>();
        List<DrawnGraph> graphs =
                rosters.parallelStream()
                        .map(ObjectGraph::of)
                        .map(graph -> DrawnGraph.of(verdict, graph, known))
                        .toList();
        Map<GraphLayout, Integer> layouts = new HashMap<>();
        json.writeArrayFieldStart("layouts");
        for (DrawnGraph graph : graphs) {
            if (layouts.putIfAbsent(graph.layout(), layouts.size()) == null) {
                write(graph.layout(), graph.sizes());
            }
        }
        json.writeEndArray();
        json.writeArrayFieldStart("graphs");
        for (DrawnGraph graph : graphs) {
            write(graph, layouts.get(graph.layout()));
        }
        json.writeEndArray();
    }

    /** Width and height; x, y, width and height of the boxes; corners of the lines. */
    private void write(GraphLayout layout, List<GraphLayout.Box> sizes) throws IOException {
        json.writeStartObject();
        json.writeNumberField("w", layout.width());
        json.writeNumberField("h", layout.height());
        json.writeArrayFieldStart("boxes");
        for (int i = 0; i < sizes.size(); i++) {
            json.writeNumber(layout.places().get(i).x());
            json.writeNumber(layout.places().get(i).y());
            json.writeNumber(sizes.get(i).width());
            json.writeNumber(sizes.get(i).height());
        }
        json.writeEndArray();
        json.writeArrayFieldStart("lines");
        for (List<Integer> corners : layout.lines()) {
            json.writeStartArray();
            for (int each : corners) {
                json.writeNumber(each);
            }
            json.writeEndArray();
        }
        json.writeEndArray();
        json.writeEndObject();
    }

    private void write(DrawnGraph drawn, int layout) throws IOException {
        json.writeStartObject();
        json.writeNumberField("layout", layout);
        json.writeArrayFieldStart("nodes");
        Map<String, Integer> numbers = new HashMap<>();
        for (int i = 0; i < drawn.boxes().size(); i++) {
            GraphNodeText box = drawn.boxes().get(i);
            numbers.put(drawn.graph().nodes().get(i).id(), i);
            json.writeStartObject();
            json.writeStringField("k", box.kind());
            json.writeStringField("slot", box.slot());
            json.writeArrayFieldStart("lines");
            for (String line : box.lines()) {
                json.writeString(line);
            }
            json.writeEndArray();
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeArrayFieldStart("edges");
        for (GraphEdge edge : drawn.graph().edges()) {
            json.writeStartArray();
            json.writeNumber(numbers.get(edge.from()));
            json.writeNumber(numbers.get(edge.to()));
            json.writeString(edge.need());
            json.writeEndArray();
        }
        json.writeEndArray();
        json.writeEndObject();
    }
}
