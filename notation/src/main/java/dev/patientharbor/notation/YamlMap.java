package dev.patientharbor.notation;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.WrittenName;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import org.snakeyaml.engine.v2.nodes.MappingNode;
import org.snakeyaml.engine.v2.nodes.NodeTuple;

/** The keys of one map, each once, with their values. */
final class YamlMap {

    private final String place;
    private final SourcePosition at;
    private final FileFaults faults;
    private final Map<String, SourcePosition> keys = new LinkedHashMap<>();
    private final Map<String, YamlNode> values = new LinkedHashMap<>();
    private final Set<String> known = new LinkedHashSet<>();

    private YamlMap(String place, SourcePosition at, FileFaults faults) {
        this.place = place;
        this.at = at;
        this.faults = faults;
    }

    static YamlMap none(String place, SourcePosition at, FileFaults faults) {
        return new YamlMap(place, at, faults);
    }

    static YamlMap of(MappingNode node, String place, FileFaults faults) {
        YamlMap map = new YamlMap(place, new YamlNode(node, faults).at(), faults);
        for (NodeTuple field : node.getValue()) {
            new YamlNode(field.getKeyNode(), faults)
                    .text("a key of " + place)
                    .ifPresent(key -> map.add(key, new YamlNode(field.getValueNode(), faults)));
        }
        return map;
    }

    private void add(WrittenName key, YamlNode value) {
        SourcePosition first = keys.putIfAbsent(key.text(), key.at());
        if (first != null) {
            faults.repeatedKey(key.at(), key.text(), place, first);
        } else {
            values.put(key.text(), value);
        }
    }

    /** The value of a key that the notation knows. */
    Optional<YamlNode> take(String key) {
        known.add(key);
        return Optional.ofNullable(values.get(key));
    }

    boolean has(String key) {
        return values.containsKey(key);
    }

    /** Where a key stands. */
    SourcePosition at(String key) {
        return keys.get(key);
    }

    /** Hands over all keys of a map whose keys are the user's own names. */
    void each(BiConsumer<WrittenName, YamlNode> visitor) {
        values.forEach((key, value) -> visitor.accept(new WrittenName(key, keys.get(key)), value));
    }

    /** Tells every key that nobody has taken. */
    void reportUnknownKeys() {
        for (String key : values.keySet()) {
            if (!known.contains(key)) {
                faults.unknownKey(keys.get(key), key, place, known);
            }
        }
    }
}
