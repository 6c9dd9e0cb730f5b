package dev.patientharbor.page;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.graph.GraphEdge;
import dev.patientharbor.graph.GraphNode;
import dev.patientharbor.graph.ObjectGraph;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.plan.RosterSource;
import dev.patientharbor.report.GraphNodeText;
import dev.patientharbor.report.RosterDot;
import dev.patientharbor.report.RosterMermaid;
import guru.nidi.graphviz.model.MutableGraph;
import guru.nidi.graphviz.parse.Parser;
import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;

/**
 * The graph of a profile, in every form that it is written in: each is read by a parser of others.
 */
class GraphFormsTest {

    @TempDir private Path folder;

    /** Every profile of every example, with where it comes from. */
    private record GraphOfProfile(Verdict verdict, ObjectGraph graph) {
        @Override
        public String toString() {
            return verdict.title() + " " + graph.profile();
        }
    }

    static Stream<GraphOfProfile> graphs() {
        return Stream.of("port", "broken", "storm", "wreck")
                .map(PageTest::check)
                .flatMap(
                        verdict ->
                                verdict.rosters().values().stream()
                                        .map(
                                                roster ->
                                                        new GraphOfProfile(
                                                                verdict, ObjectGraph.of(roster))));
    }

    @ParameterizedTest
    @MethodSource("graphs")
    void every_need_that_receives_something_is_an_arrow_and_entries_lead_to_all(
            GraphOfProfile drawn) {
        List<RosterRow> rows = drawn.verdict().roster(drawn.graph().profile()).rows();
        Set<String> needs = new HashSet<>();
        drawn.graph().edges().forEach(edge -> needs.add(edge.need().replaceAll("\\[.*", "")));
        for (RosterRow row : rows) {
            boolean holds =
                    row.answer().kind() != AnswerKind.ABSENT
                            && (row.answer().kind() != AnswerKind.COLLECTION
                                    || !row.answer().elements().isEmpty());
            assertTrue(!holds || needs.contains(row.need()), row.toString());
        }
        Map<String, Set<String>> next = new HashMap<>();
        for (GraphEdge edge : drawn.graph().edges()) {
            next.computeIfAbsent(edge.from(), from -> new HashSet<>()).add(edge.to());
        }
        Set<String> reached = new HashSet<>();
        List<String> open =
                new ArrayList<>(
                        drawn.graph().nodes().stream()
                                .filter(node -> node.consumer().isPresent())
                                .map(GraphNode::id)
                                .toList());
        for (int i = 0; i < open.size(); i++) {
            if (reached.add(open.get(i))) {
                open.addAll(next.getOrDefault(open.get(i), Set.of()));
            }
        }
        assertEquals(drawn.graph().nodes().size(), reached.size(), drawn.graph().toString());
    }

    @ParameterizedTest
    @MethodSource("graphs")
    void dot_and_svg_are_read_back_box_by_box(GraphOfProfile drawn) throws Exception {
        MutableGraph dot = new Parser().read(RosterDot.render(drawn.verdict(), drawn.graph()));
        assertEquals(drawn.graph().profile(), dot.name().value());
        assertEquals(drawn.graph().nodes().size(), dot.nodes().size());
        assertEquals(drawn.graph().edges().size(), dot.edges().size());
        Map<String, String> labels = new TreeMap<>();
        dot.nodes().forEach(node -> labels.put(node.name().value(), "" + node.get("label")));
        for (GraphNode node : drawn.graph().nodes()) {
            assertEquals(
                    String.join("\\n", GraphNodeText.of(drawn.verdict(), node).lines()),
                    labels.get(node.id()).replace("\n", "\\n"));
        }
        String svg = GraphSvg.render(drawn.verdict(), drawn.graph());
        Document document =
                DocumentBuilderFactory.newInstance()
                        .newDocumentBuilder()
                        .parse(new InputSource(new StringReader(svg)));
        assertEquals(drawn.graph().nodes().size(), document.getElementsByTagName("g").getLength());
        assertEquals(
                drawn.graph().edges().size() + 1,
                document.getElementsByTagName("path").getLength());
        assertEquals(svg, GraphSvg.render(drawn.verdict(), drawn.graph()), "the same once more");
    }

    /** A page that has the parser. */
    private Path mermaid() throws IOException {
        Files.writeString(
                folder.resolve("mermaid.js"),
                Browser.library("mermaid/11.14.0/dist/mermaid.min.js"));
        return Files.writeString(
                folder.resolve("mermaid.html"),
                "<!DOCTYPE html><title>t</title><script src=mermaid.js></script>");
    }

    @Test
    void mermaid_is_read_by_its_own_parser_and_svg_drawn_by_a_browser() throws IOException {
        try (Browser browser = Browser.open()) {
            browser.open(mermaid(), "");
            for (GraphOfProfile drawn : graphs().toList()) {
                Object read =
                        browser.runLater(
                                "const done = arguments[1]; mermaid.parse(arguments[0]).then((told)"
                                    + " => done(told.diagramType), (error) => done('' + error))",
                                RosterMermaid.render(drawn.verdict(), drawn.graph()));
                assertEquals("flowchart-v2", read, drawn.toString());
            }
            GraphOfProfile port = graphs().findFirst().orElseThrow();
            Path svg =
                    Files.writeString(
                            folder.resolve("port.svg"),
                            GraphSvg.render(port.verdict(), port.graph()));
            browser.open(svg, "");
            for (GraphNode node : port.graph().nodes()) {
                for (String line : GraphNodeText.of(port.verdict(), node).lines()) {
                    assertTrue(
                            (Boolean)
                                    browser.run(
                                            "return"
                                                + " [...document.querySelectorAll('text')].some((each)"
                                                + " => each.textContent === arguments[0] &&"
                                                + " each.getBBox().width <="
                                                + " each.parentNode.querySelector('rect').getBBox().width"
                                                + " - 8)",
                                            line),
                            line + " fits into its box");
                }
            }
        }
    }

    @Test
    void names_that_would_be_markup_are_text_in_every_form() throws Exception {
        String hostile = "p\"]; x[(<b>|\\\"&#amp;`*_~\\n]]>";
        RosterSource source =
                new RosterSource() {
                    @Override
                    public String title() {
                        return hostile;
                    }

                    @Override
                    public String file() {
                        return "f";
                    }

                    @Override
                    public String shortName(String binaryName) {
                        return hostile + binaryName;
                    }
                };
        ObjectGraph graph = graphs().findFirst().orElseThrow().graph();
        MutableGraph dot = new Parser().read(RosterDot.render(source, graph));
        assertEquals(graph.nodes().size(), dot.nodes().size());
        DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new InputSource(new StringReader(GraphSvg.render(source, graph))));
        try (Browser browser = Browser.open()) {
            browser.open(mermaid(), "");
            assertEquals(
                    "flowchart-v2",
                    browser.runLater(
                            "const done = arguments[1]; mermaid.parse(arguments[0]).then((told) =>"
                                    + " done(told.diagramType), (error) => done('' + error))",
                            RosterMermaid.render(source, graph)));
        }
    }
}
