package dev.patientharbor.page;

import dev.patientharbor.graph.ObjectGraph;
import dev.patientharbor.plan.RosterSource;
import dev.patientharbor.report.GraphNodeText;
import dev.patientharbor.report.GraphShape;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.XmlCharacters;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.List;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Draws the graph of a profile as SVG 1.1 (W3C recommendation), for pages and documents. */
public final class GraphSvg {

    private static final String SVG = "http://www.w3.org/2000/svg";
    private static final String STYLE =
            """
            text { font: 12px ui-monospace, Menlo, Consolas, "DejaVu Sans Mono", monospace; fill: #1c2733 }
            .slot { fill: #4a5a6a }
            rect { fill: #ffffff; stroke: #4a5a6a; stroke-width: 1 }
            .entry rect { stroke: #1c2733; stroke-width: 3 }
            .real rect { fill: #eef3f8; stroke: #2f5d8a }
            .stand-in rect { fill: #fbf3e4; stroke: #8a5a00; stroke-dasharray: 6 4 }
            .unmet rect { fill: #fdeeee; stroke: #b00020; stroke-width: 3; stroke-dasharray: 2 3 }
            path { fill: none; stroke: #7b8794; stroke-width: 1.2 }
            """;

    private final XMLStreamWriter xml;

    private GraphSvg(XMLStreamWriter xml) {
        this.xml = xml;
    }

    /** The whole text; it ends with {@code \n}. */
    public static String render(RosterSource source, ObjectGraph graph) {
        RequiredArgument.of(source, "source");
        RequiredArgument.of(graph, "graph");
        StringWriter text = new StringWriter();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(text);
            new GraphSvg(xml).write(source.title(), DrawnGraph.of(source, graph));
            xml.close();
        } catch (XMLStreamException impossible) {
            throw new IllegalStateException("text in memory cannot fail", impossible);
        }
        return text.append('\n').toString();
    }

    private void write(String title, DrawnGraph drawn) throws XMLStreamException {
        xml.writeStartDocument("UTF-8", "1.0");
        line();
        xml.writeStartElement("svg");
        xml.writeDefaultNamespace(SVG);
        attribute("viewBox", "0 0 " + drawn.layout().width() + ' ' + drawn.layout().height());
        attribute("width", String.valueOf(drawn.layout().width()));
        attribute("height", String.valueOf(drawn.layout().height()));
        attribute("role", "img");
        element("title", title + ", " + drawn.graph().profile());
        element("style", STYLE);
        line();
        xml.writeStartElement("defs");
        xml.writeStartElement("marker");
        attribute("id", "end");
        attribute("viewBox", "0 0 8 8");
        attribute("refX", "8");
        attribute("refY", "4");
        attribute("markerWidth", "7");
        attribute("markerHeight", "7");
        attribute("orient", "auto");
        xml.writeEmptyElement("path");
        attribute("d", "M0,0 L8,4 L0,8");
        xml.writeEndElement();
        xml.writeEndElement();
        for (int i = 0; i < drawn.graph().edges().size(); i++) {
            line();
            xml.writeStartElement("path");
            attribute("d", path(drawn.layout().lines().get(i)));
            attribute("marker-end", "url(#end)");
            element("title", drawn.graph().edges().get(i).need());
            xml.writeEndElement();
        }
        for (int i = 0; i < drawn.boxes().size(); i++) {
            box(drawn.boxes().get(i), drawn.sizes().get(i), drawn.layout().places().get(i));
        }
        line();
        xml.writeEndElement();
        xml.writeEndDocument();
    }

    private void box(GraphNodeText box, GraphLayout.Box size, GraphLayout.Place at)
            throws XMLStreamException {
        line();
        xml.writeStartElement("g");
        attribute("class", className(GraphShape.of(box.kind())));
        attribute("transform", "translate(" + at.x() + ',' + at.y() + ')');
        xml.writeEmptyElement("rect");
        attribute("width", String.valueOf(size.width()));
        attribute("height", String.valueOf(size.height()));
        attribute("rx", "3");
        int y = DrawnGraph.PADDING + DrawnGraph.LINE - 4;
        List<String> lines = new ArrayList<>(box.lines());
        for (String each : lines) {
            xml.writeStartElement("text");
            attribute("x", String.valueOf(DrawnGraph.PADDING));
            attribute("y", String.valueOf(y));
            boolean isSlot = !box.slot().isEmpty() && y > size.height() - DrawnGraph.LINE - 4;
            if (isSlot) {
                attribute("class", "slot");
            }
            xml.writeCharacters(XmlCharacters.of(each));
            xml.writeEndElement();
            y += DrawnGraph.LINE;
        }
        xml.writeEndElement();
    }

    private static String className(GraphShape shape) {
        return switch (shape) {
            case ENTRY -> "entry";
            case REAL -> "real";
            case STAND_IN -> "stand-in";
            case UNMET -> "unmet";
        };
    }

    private static String path(List<Integer> corners) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < corners.size(); i += 2) {
            path.append(i == 0 ? "M" : " L").append(corners.get(i)).append(',');
            path.append(corners.get(i + 1));
        }
        return path.toString();
    }

    private void element(String name, String text) throws XMLStreamException {
        line();
        xml.writeStartElement(name);
        xml.writeCharacters(XmlCharacters.of(text));
        xml.writeEndElement();
    }

    private void attribute(String name, String value) throws XMLStreamException {
        xml.writeAttribute(name, XmlCharacters.of(value));
    }

    private void line() throws XMLStreamException {
        xml.writeCharacters("\n");
    }
}
