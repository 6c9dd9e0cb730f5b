package dev.patientharbor.notation;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.snakeyaml.engine.v2.api.LoadSettings;
import org.snakeyaml.engine.v2.api.lowlevel.Compose;
import org.snakeyaml.engine.v2.common.FlowStyle;
import org.snakeyaml.engine.v2.exceptions.Mark;
import org.snakeyaml.engine.v2.nodes.MappingNode;
import org.snakeyaml.engine.v2.nodes.Node;
import org.snakeyaml.engine.v2.nodes.NodeTuple;
import org.snakeyaml.engine.v2.nodes.ScalarNode;
import org.snakeyaml.engine.v2.nodes.SequenceNode;

/**
 * Puts lines into the text of a YAML file. All that stands there stays as it is, to the byte:
 * comments, order, spaces and line ends.
 */
final class YamlInsertion {

    private final String text;
    private final String lineEnd;
    private final List<String> lines;

    YamlInsertion(String text) {
        this.text = text;
        lineEnd = text.contains("\r\n") ? "\r\n" : "\n";
        lines = new ArrayList<>(List.of(text.split("(?<=\n)", -1)));
    }

    /**
     * Returns the text with entries at the end of a mapping, which is made if it is not there.
     *
     * @param added the lines of the entries, without indentation
     * @param path the keys that lead to the mapping; the one before the last is there
     * @throws IllegalArgumentException if what the keys lead to is no mapping
     */
    String into(List<String> added, String... path) {
        Node node = root();
        NodeTuple entry = null;
        for (int i = 0; i < path.length; i++) {
            Optional<NodeTuple> next = entry(node, path[i]);
            if (next.isEmpty() && i < path.length - 1) {
                throw new IllegalArgumentException(path[i] + " is not written in this file");
            }
            if (next.isEmpty()) {
                return into(node, entry, nested(path[i], added, isFlow(node)));
            }
            entry = next.get();
            node = entry.getValueNode();
        }
        return into(node, entry, added);
    }

    /**
     * Returns the text with another value of an entry; the entry is added if it is not there.
     *
     * @param key the key of the entry, as YAML writes it
     * @param value the value, as YAML writes it in one line
     * @param plainKey the key without quotes
     * @param path the keys that lead to the mapping
     */
    String with(String key, String value, String plainKey, String... path) {
        Node node = root();
        for (String each : path) {
            node = entry(node, each).map(NodeTuple::getValueNode).orElse(null);
        }
        Optional<Node> there = entry(node, plainKey).map(NodeTuple::getValueNode);
        if (there.isEmpty()) {
            return into(List.of(key + ": " + value), path);
        }
        int from = text.offsetByCodePoints(0, start(there.get()).getIndex());
        String before = text.substring(0, from);
        boolean isOnNextLine = before.stripTrailing().endsWith(":") && before.endsWith(" ");
        String head = isOnNextLine ? before.stripTrailing() + ' ' : before;
        if (!isBlock(there.get())) {
            return head + value + text.substring(index(there.get()));
        }
        List<String> rest = lines.subList(lastLine(there.get()) + 1, lines.size());
        return head + value + lineEnd + String.join("", rest);
    }

    /** Whether a value stands on lines of its own, and ends where the next one begins. */
    private static boolean isBlock(Node node) {
        return node instanceof MappingNode mapping && mapping.getFlowStyle() != FlowStyle.FLOW
                || node instanceof SequenceNode list && list.getFlowStyle() != FlowStyle.FLOW;
    }

    private Node root() {
        return new Compose(LoadSettings.builder().setUseMarks(true).build())
                .composeString(text)
                .orElseThrow(() -> new IllegalArgumentException("the file is empty"));
    }

    private static Optional<NodeTuple> entry(Node node, String key) {
        return node instanceof MappingNode mapping
                ? mapping.getValue().stream()
                        .filter(
                                entry ->
                                        entry.getKeyNode() instanceof ScalarNode name
                                                && name.getValue().equals(key))
                        .findFirst()
                : Optional.empty();
    }

    private String into(Node node, NodeTuple entry, List<String> added) {
        if (node instanceof MappingNode mapping) {
            return mapping.getFlowStyle() == FlowStyle.FLOW
                    ? intoBraces(mapping, added)
                    : below(lastLine(mapping), column(mapping), added);
        }
        if (node instanceof ScalarNode nothing && nothing.getValue().isEmpty() && entry != null) {
            Mark key = start(entry.getKeyNode());
            return below(key.getLine(), key.getColumn() + 2, added);
        }
        throw new IllegalArgumentException("there is no mapping into which a line could go");
    }

    private static int column(MappingNode mapping) {
        return start(mapping.getValue().get(0).getKeyNode()).getColumn();
    }

    private static Mark start(Node node) {
        return node.getStartMark().orElseThrow();
    }

    /** The last line, from 0, on which something of a node stands. */
    private static int lastLine(Node node) {
        boolean isBlock =
                node instanceof MappingNode mapping
                        && mapping.getFlowStyle() != FlowStyle.FLOW
                        && !mapping.getValue().isEmpty();
        if (isBlock) {
            List<NodeTuple> entries = ((MappingNode) node).getValue();
            NodeTuple last = entries.get(entries.size() - 1);
            return Math.max(lastLine(last.getKeyNode()), lastLine(last.getValueNode()));
        }
        if (node instanceof SequenceNode sequence
                && sequence.getFlowStyle() != FlowStyle.FLOW
                && !sequence.getValue().isEmpty()) {
            return lastLine(sequence.getValue().get(sequence.getValue().size() - 1));
        }
        Mark end = node.getEndMark().orElseThrow();
        boolean isNothing =
                node instanceof ScalarNode scalar && start(scalar).getIndex() == end.getIndex();
        return isNothing || end.getColumn() > 0 ? end.getLine() : end.getLine() - 1;
    }

    private String below(int line, int column, List<String> added) {
        StringBuilder into = new StringBuilder();
        if (!lines.get(line).endsWith("\n")) {
            into.append(lineEnd);
        }
        added.forEach(each -> into.append(" ".repeat(column)).append(each).append(lineEnd));
        lines.add(line + 1, into.toString());
        return String.join("", lines);
    }

    private static boolean isFlow(Node node) {
        return node instanceof MappingNode mapping && mapping.getFlowStyle() == FlowStyle.FLOW;
    }

    private static List<String> nested(String key, List<String> added, boolean inBraces) {
        List<String> nested = new ArrayList<>();
        nested.add(key + (inBraces ? ": {" : ":"));
        List<String> entries = inBraces ? withCommas(added) : added;
        entries.forEach(line -> nested.add("  " + line));
        if (inBraces) {
            nested.add("}");
        }
        return nested;
    }

    /** After each entry but the last stands a comma; comments have none. */
    private static List<String> withCommas(List<String> added) {
        List<String> found = new ArrayList<>(added);
        for (int i = 0; i + 1 < found.size(); i++) {
            if (!found.get(i).startsWith("#")) {
                found.set(i, found.get(i) + ',');
            }
        }
        return found;
    }

    /** Each entry stands on a line of its own, before the closing brace. */
    private String intoBraces(MappingNode mapping, List<String> added) {
        boolean areNested = added.get(0).endsWith("{");
        String indent = lineEnd + " ".repeat(start(mapping).getColumn() + 2);
        int end = index(mapping) - 1;
        int lastEnd = end;
        List<NodeTuple> entries = mapping.getValue();
        if (!entries.isEmpty()) {
            lastEnd = index(entries.get(entries.size() - 1).getValueNode());
        }
        StringBuilder into = new StringBuilder(text.substring(0, lastEnd));
        into.append(entries.isEmpty() ? "" : ",");
        into.append(text.substring(lastEnd, end).stripTrailing());
        (areNested ? added : withCommas(added)).forEach(line -> into.append(indent).append(line));
        return into.append(' ').append(text.substring(end)).toString();
    }

    /** Where a node ends in the text. */
    private int index(Node node) {
        return text.offsetByCodePoints(0, node.getEndMark().orElseThrow().getIndex());
    }
}
