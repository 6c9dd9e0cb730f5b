package dev.patientharbor.notation;

import dev.patientharbor.texts.VisibleText;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.snakeyaml.engine.v2.api.DumpSettings;
import org.snakeyaml.engine.v2.api.LoadSettings;
import org.snakeyaml.engine.v2.api.lowlevel.Compose;
import org.snakeyaml.engine.v2.api.lowlevel.Present;
import org.snakeyaml.engine.v2.api.lowlevel.Serialize;
import org.snakeyaml.engine.v2.comments.CommentLine;
import org.snakeyaml.engine.v2.comments.CommentType;
import org.snakeyaml.engine.v2.common.FlowStyle;
import org.snakeyaml.engine.v2.common.ScalarStyle;
import org.snakeyaml.engine.v2.exceptions.Mark;
import org.snakeyaml.engine.v2.nodes.MappingNode;
import org.snakeyaml.engine.v2.nodes.Node;
import org.snakeyaml.engine.v2.nodes.NodeTuple;
import org.snakeyaml.engine.v2.nodes.ScalarNode;
import org.snakeyaml.engine.v2.nodes.SequenceNode;
import org.snakeyaml.engine.v2.nodes.Tag;

/** Writes a mapping as YAML, each entry with the comments that belong to it. */
final class DraftYaml {

    private static final DumpSettings LAYOUT =
            DumpSettings.builder()
                    .setDumpComments(true)
                    .setDefaultFlowStyle(FlowStyle.BLOCK)
                    .setWidth(110)
                    .build();

    private final List<NodeTuple> entries = new ArrayList<>();

    /** Adds a text. */
    DraftYaml text(String key, String value, String... comments) {
        return add(key, scalar(value), comments);
    }

    /** Adds a list of texts, in one line. */
    DraftYaml list(String key, List<String> values, String... comments) {
        List<Node> items = new ArrayList<>();
        values.forEach(value -> items.add(scalar(value)));
        return add(key, new SequenceNode(Tag.SEQ, items, FlowStyle.FLOW), comments);
    }

    /** Adds a mapping on lines of its own. */
    DraftYaml block(String key, DraftYaml value, String... comments) {
        return add(key, new MappingNode(Tag.MAP, value.entries, FlowStyle.BLOCK), comments);
    }

    /** Adds a mapping in one line. */
    DraftYaml inline(String key, DraftYaml value, String... comments) {
        return add(key, new MappingNode(Tag.MAP, value.entries, FlowStyle.FLOW), comments);
    }

    /** Adds a value of texts, lists and maps; a list or a map stands in one line. */
    DraftYaml value(String key, Object value, String... comments) {
        return add(key, node(value), comments);
    }

    private static Node node(Object value) {
        if (value instanceof Map<?, ?> map) {
            List<NodeTuple> tuples = new ArrayList<>();
            map.forEach(
                    (key, each) -> tuples.add(new NodeTuple(scalar(key.toString()), node(each))));
            return new MappingNode(Tag.MAP, tuples, FlowStyle.FLOW);
        }
        if (value instanceof List<?> list) {
            return new SequenceNode(
                    Tag.SEQ, list.stream().map(DraftYaml::node).toList(), FlowStyle.FLOW);
        }
        return scalar(value.toString());
    }

    /** Returns whether nothing was added. */
    boolean isEmpty() {
        return entries.isEmpty();
    }

    private DraftYaml add(String key, Node value, String... comments) {
        Node name = scalar(key);
        List<CommentLine> lines = new ArrayList<>();
        for (String comment : comments) {
            lines.add(
                    new CommentLine(
                            Optional.<Mark>empty(),
                            Optional.<Mark>empty(),
                            comment.isEmpty() ? "" : ' ' + VisibleText.of(comment),
                            comment.isEmpty() ? CommentType.BLANK_LINE : CommentType.BLOCK));
        }
        if (!lines.isEmpty()) {
            name.setBlockComments(lines);
        }
        entries.add(new NodeTuple(name, value));
        return this;
    }

    /** A word or a number; anything else that could be read in another way is quoted. */
    private static Node scalar(String value) {
        Tag tag = value.equals("true") ? Tag.BOOL : value.matches("[0-9]+") ? Tag.INT : Tag.STR;
        boolean isPlain =
                tag != Tag.STR
                        || value.matches("(\\.{0,2}/)?[A-Za-z]([\\w.<>@$/, -]*[\\w.<>@$/-])?")
                                && !value.matches("(?i)true|false|null|yes|no|on|off");
        return new ScalarNode(tag, value, isPlain ? ScalarStyle.PLAIN : ScalarStyle.DOUBLE_QUOTED);
    }

    /** Returns the text of the whole. */
    String text() {
        Node root = new MappingNode(Tag.MAP, entries, FlowStyle.BLOCK);
        String text =
                new Present(LAYOUT)
                        .emitToString(new Serialize(LAYOUT).serializeOne(root).iterator());
        return text.endsWith("\n") ? text : text + '\n';
    }

    /** Returns the lines, from 1, of the keys of a mapping that is reached by some keys. */
    static Map<Integer, String> lines(String text, String... path) {
        Optional<Node> node =
                new Compose(LoadSettings.builder().setUseMarks(true).build()).composeString(text);
        for (String key : path) {
            node = node.flatMap(each -> value(each, key));
        }
        Map<Integer, String> lines = new LinkedHashMap<>();
        if (node.isPresent() && node.get() instanceof MappingNode mapping) {
            for (NodeTuple entry : mapping.getValue()) {
                ScalarNode key = (ScalarNode) entry.getKeyNode();
                key.getStartMark().ifPresent(at -> lines.put(at.getLine() + 1, key.getValue()));
            }
        }
        return lines;
    }

    private static Optional<Node> value(Node node, String key) {
        return node instanceof MappingNode mapping
                ? mapping.getValue().stream()
                        .filter(
                                entry ->
                                        entry.getKeyNode() instanceof ScalarNode name
                                                && name.getValue().equals(key))
                        .map(NodeTuple::getValueNode)
                        .findFirst()
                : Optional.empty();
    }
}
