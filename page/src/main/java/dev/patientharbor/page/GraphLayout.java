package dev.patientharbor.page;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.eclipse.elk.alg.layered.LayeredLayoutProvider;
import org.eclipse.elk.alg.layered.options.LayeredOptions;
import org.eclipse.elk.core.data.LayoutMetaDataService;
import org.eclipse.elk.core.math.ElkPadding;
import org.eclipse.elk.core.options.Alignment;
import org.eclipse.elk.core.options.CoreOptions;
import org.eclipse.elk.core.options.Direction;
import org.eclipse.elk.core.options.EdgeRouting;
import org.eclipse.elk.core.util.BasicProgressMonitor;
import org.eclipse.elk.graph.ElkEdge;
import org.eclipse.elk.graph.ElkEdgeSection;
import org.eclipse.elk.graph.ElkNode;
import org.eclipse.elk.graph.util.ElkGraphUtil;

/**
 * Places boxes in layers, from left to right, and leads lines between them; all in pixels. The same
 * boxes and lines give the same places.
 *
 * @param places where the boxes stand, in their order
 * @param lines the corners of the lines, in their order: x and y by turns, from the first box to
 *     the second
 */
record GraphLayout(int width, int height, List<Place> places, List<List<Integer>> lines) {

    private static final double BETWEEN_LAYERS = 56;
    private static final double BETWEEN_BOXES = 18;
    private static final int MARGIN = 16;

    GraphLayout {
        places = List.copyOf(places);
        lines = List.copyOf(lines);
    }

    /** The size of a box. */
    record Box(int width, int height) {}

    /** The upper left corner of a box. */
    record Place(int x, int y) {}

    /** A line from one box to another, by their numbers. */
    record Line(int from, int to) {}

    static GraphLayout of(List<Box> boxes, List<Line> lines) {
        // What the layout copies must be known to it before it starts.
        LayoutMetaDataService.getInstance();
        ElkNode root = ElkGraphUtil.createGraph();
        root.setProperty(CoreOptions.DIRECTION, Direction.RIGHT);
        root.setProperty(CoreOptions.EDGE_ROUTING, EdgeRouting.ORTHOGONAL);
        root.setProperty(CoreOptions.PADDING, new ElkPadding(MARGIN));
        root.setProperty(LayeredOptions.RANDOM_SEED, 1);
        root.setProperty(LayeredOptions.SPACING_NODE_NODE, BETWEEN_BOXES);
        root.setProperty(LayeredOptions.SPACING_NODE_NODE_BETWEEN_LAYERS, BETWEEN_LAYERS);
        List<ElkNode> nodes = new ArrayList<>();
        for (Box box : boxes) {
            ElkNode node = ElkGraphUtil.createNode(root);
            node.setDimensions(box.width(), box.height());
            node.setProperty(CoreOptions.ALIGNMENT, Alignment.LEFT);
            nodes.add(node);
        }
        // Two lines between the same boxes are led as one.
        Map<Line, ElkEdge> edges = new HashMap<>();
        for (Line line : lines) {
            edges.computeIfAbsent(
                    line,
                    each ->
                            ElkGraphUtil.createSimpleEdge(
                                    nodes.get(each.from()), nodes.get(each.to())));
        }
        new LayeredLayoutProvider().layout(root, new BasicProgressMonitor());
        return new GraphLayout(
                rounded(root.getWidth()),
                rounded(root.getHeight()),
                nodes.stream()
                        .map(node -> new Place(rounded(node.getX()), rounded(node.getY())))
                        .toList(),
                lines.stream().map(line -> corners(edges.get(line))).toList());
    }

    private static List<Integer> corners(ElkEdge edge) {
        List<Integer> corners = new ArrayList<>();
        for (ElkEdgeSection section : edge.getSections()) {
            corners.add(rounded(section.getStartX()));
            corners.add(rounded(section.getStartY()));
            section.getBendPoints()
                    .forEach(
                            bend -> {
                                corners.add(rounded(bend.getX()));
                                corners.add(rounded(bend.getY()));
                            });
            corners.add(rounded(section.getEndX()));
            corners.add(rounded(section.getEndY()));
        }
        return corners;
    }

    private static int rounded(double pixels) {
        return (int) Math.round(pixels);
    }
}
