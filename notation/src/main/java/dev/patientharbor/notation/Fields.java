package dev.patientharbor.notation;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Written;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import org.snakeyaml.engine.v2.nodes.MappingNode;
import org.snakeyaml.engine.v2.nodes.NodeTuple;

/** The keys of one map, each once, with their values. */
final class Fields {

    private final String place;
    private final Where at;
    private final Faults faults;
    private final Map<String, Where> keys = new LinkedHashMap<>();
    private final Map<String, Piece> values = new LinkedHashMap<>();
    private final Set<String> known = new LinkedHashSet<>();

    private Fields(String place, Where at, Faults faults) {
        this.place = place;
        this.at = at;
        this.faults = faults;
    }

    static Fields none(String place, Where at, Faults faults) {
        return new Fields(place, at, faults);
    }

    static Fields of(MappingNode map, String place, Faults faults) {
        Fields fields = new Fields(place, new Piece(map, faults).at(), faults);
        for (NodeTuple field : map.getValue()) {
            new Piece(field.getKeyNode(), faults)
                    .text("a key of " + place)
                    .ifPresent(key -> fields.add(key, new Piece(field.getValueNode(), faults)));
        }
        return fields;
    }

    private void add(Written key, Piece value) {
        Where first = keys.putIfAbsent(key.text(), key.at());
        if (first != null) {
            faults.repeatedKey(key.at(), key.text(), place, first);
        } else {
            values.put(key.text(), value);
        }
    }

    Where at() {
        return at;
    }

    /** The value of a key that the notation knows. */
    Optional<Piece> take(String key) {
        known.add(key);
        return Optional.ofNullable(values.get(key));
    }

    boolean has(String key) {
        return values.containsKey(key);
    }

    /** Where a key stands. */
    Where at(String key) {
        return keys.get(key);
    }

    /** Hands over all keys of a map whose keys are the user's own names. */
    void each(BiConsumer<Written, Piece> visitor) {
        values.forEach((key, value) -> visitor.accept(new Written(key, keys.get(key)), value));
    }

    /** Tells every key that nobody has taken. */
    void tellUnknown() {
        for (String key : values.keySet()) {
            if (!known.contains(key)) {
                faults.unknownKey(keys.get(key), key, place, known);
            }
        }
    }
}
