package dev.patientharbor.notation;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.snakeyaml.engine.v2.exceptions.Mark;
import org.snakeyaml.engine.v2.nodes.MappingNode;
import org.snakeyaml.engine.v2.nodes.Node;
import org.snakeyaml.engine.v2.nodes.NodeTuple;
import org.snakeyaml.engine.v2.nodes.ScalarNode;
import org.snakeyaml.engine.v2.nodes.SequenceNode;
import org.snakeyaml.engine.v2.nodes.Tag;

/**
 * One value of the file. Each way to take it says what was wanted, and tells a fault if it is
 * something else.
 */
final class YamlNode {

    /** In characters; names of classes and paths are far shorter. */
    private static final int LONGEST = 8_192;

    /** In characters. */
    private static final int LONGEST_VALUE = 1 << 16;

    private final Node node;
    private final FileFaults faults;

    YamlNode(Node node, FileFaults faults) {
        this.node = node;
        this.faults = faults;
    }

    SourcePosition at() {
        Mark start = node.getStartMark().orElseThrow();
        return faults.at(start.getLine() + 1, start.getColumn() + 1);
    }

    FileFaults faults() {
        return faults;
    }

    boolean isText() {
        return node instanceof ScalarNode && !isBlank();
    }

    boolean isList() {
        return node instanceof SequenceNode;
    }

    boolean isFields() {
        return node instanceof MappingNode;
    }

    /** Whether it is a map with one of these keys. */
    boolean hasAny(List<String> keys) {
        return node instanceof MappingNode map
                && map.getValue().stream()
                        .map(NodeTuple::getKeyNode)
                        .anyMatch(
                                key ->
                                        key instanceof ScalarNode text
                                                && keys.contains(text.getValue()));
    }

    /** Whether nothing was written after the key. */
    boolean isBlank() {
        return node.getTag().equals(Tag.NULL)
                || node instanceof ScalarNode scalar
                        && (scalar.getValue().isBlank()
                                || scalar.isPlain() && scalar.getValue().equals("null"));
    }

    /** The text of a key or a plain value. */
    Optional<WrittenName> text(String wanted) {
        if (!isText()) {
            return wrong(wanted);
        }
        String text = ((ScalarNode) node).getValue().strip();
        if (text.length() > LONGEST) {
            faults.malformed(
                    at(),
                    "Here stands a text of " + text.length() + " characters.",
                    "write " + wanted + ", of at most " + LONGEST + " characters");
            return Optional.empty();
        }
        return Optional.of(new WrittenName(text, at()));
    }

    /** {@code true} or {@code false}. */
    boolean flag(String key) {
        String text = node instanceof ScalarNode scalar ? scalar.getValue() : "";
        if (!text.equals("true") && !text.equals("false")) {
            wrong("true or false after " + key);
        }
        return text.equals("true");
    }

    /** A list of texts; one text alone may stand without the brackets. */
    List<WrittenName> texts(String wanted) {
        List<WrittenName> texts = new ArrayList<>();
        for (YamlNode item : isText() ? List.of(this) : items(wanted)) {
            item.text(wanted).ifPresent(texts::add);
        }
        return texts;
    }

    /** The items of a list; none if nothing was written. */
    List<YamlNode> items(String wanted) {
        if (node instanceof SequenceNode list) {
            return list.getValue().stream().map(item -> new YamlNode(item, faults)).toList();
        }
        if (!isBlank()) {
            wrong(wanted);
        }
        return List.of();
    }

    /** The keys of a map with their values; none if nothing was written. */
    YamlMap fields(String place) {
        if (node instanceof MappingNode map) {
            return YamlMap.of(map, place, faults);
        }
        if (!isBlank()) {
            wrong("a map of keys and values in " + place);
        }
        return YamlMap.none(place, at(), faults);
    }

    /**
     * A value of any shape, kept as it was written; aliases that expand without end are reported.
     */
    GivenValue given() {
        return given(0);
    }

    private GivenValue given(int depth) {
        if (!faults.mayRead(this, depth)) {
            return new GivenValue.Text("", at());
        }
        if (node instanceof SequenceNode) {
            return new GivenValue.Items(
                    items("a list").stream().map(item -> item.given(depth + 1)).toList(), at());
        }
        if (node instanceof MappingNode) {
            Map<String, GivenValue> fields = new LinkedHashMap<>();
            fields("a value").each((key, value) -> fields.put(key.text(), value.given(depth + 1)));
            return new GivenValue.Fields(fields, at());
        }
        String text = ((ScalarNode) node).getValue();
        if (text.length() > LONGEST_VALUE) {
            faults.malformed(
                    at(),
                    "Here stands a value of " + text.length() + " characters.",
                    "write one of at most " + LONGEST_VALUE + " characters");
            return new GivenValue.Text("", at());
        }
        return new GivenValue.Text(text, at());
    }

    /** Reports that something else was wanted. */
    <T> Optional<T> wrong(String wanted) {
        String found =
                isBlank()
                        ? "nothing"
                        : node instanceof ScalarNode scalar
                                ? scalar.getValue()
                                : isList() ? "a list" : "a map";
        faults.malformed(
                at(),
                "Here stands " + shortened(found) + "; it should be " + wanted + ".",
                "write " + wanted);
        return Optional.empty();
    }

    private static String shortened(String text) {
        String oneLine = text.lines().findFirst().orElse("");
        return oneLine.length() <= 40 ? oneLine : oneLine.substring(0, 40) + "…";
    }
}
