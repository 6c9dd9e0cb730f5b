package dev.patientharbor.notation;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.GivenArguments;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.model.Supply;
import dev.patientharbor.terms.Grounds;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads one binding: a class alone, a reserved word, or a map with one supply. */
final class BindingReader {

    private BindingReader() {}

    static Optional<Binding> read(Slot slot, SourcePosition at, YamlNode node) {
        if (!node.isFields()) {
            return node.text("a class, mock, or a map such as { stub: CLASS }")
                    .map(SupplyReader::inOneWord)
                    .map(
                            supply ->
                                    new Binding(
                                            slot,
                                            supply,
                                            GivenArguments.NOTHING,
                                            Optional.empty(),
                                            false,
                                            Optional.empty(),
                                            Grounds.NONE,
                                            at));
        }
        YamlMap map = node.fields("the binding of " + slot.text());
        GivenArguments with = with(map);
        Optional<Lifetime> lifetime = map.take("lifetime").flatMap(BindingReader::lifetime);
        Optional<List<String>> constructor = constructor(map);
        boolean keepsValues = map.take("keep").map(keep -> keep(keep, node.faults())).orElse(false);
        Grounds grounds = GroundsReader.read(map);
        boolean part =
                !with.isEmpty()
                        || lifetime.isPresent()
                        || constructor.isPresent()
                        || !grounds.isEmpty();
        Optional<Supply> supply = SupplyReader.read(slot, at, map, node.faults(), part);
        map.reportUnknownKeys();
        return supply.map(
                read ->
                        new Binding(
                                slot, read, with, lifetime, keepsValues, constructor, grounds, at));
    }

    /** The constructor that is named by its parameter types. */
    static Optional<List<String>> constructor(YamlMap map) {
        return map.take("constructor")
                .map(types -> types.items("a list of parameter types"))
                .map(BindingReader::types);
    }

    /** The values for a constructor or a factory. */
    static GivenArguments with(YamlMap map) {
        return map.take("with").map(BindingReader::with).orElse(GivenArguments.NOTHING);
    }

    private static List<String> types(List<YamlNode> types) {
        return types.stream()
                .flatMap(type -> type.text("a parameter type").stream())
                .map(WrittenName::text)
                .toList();
    }

    /** What a replacement keeps of the inherited binding: its values. */
    private static boolean keep(YamlNode node, FileFaults faults) {
        List<WrittenName> words = node.texts("[with]");
        for (WrittenName word : words) {
            if (!word.text().equals("with")) {
                faults.malformed(word.at(), word.text() + " cannot be kept.", "write keep: [with]");
            }
        }
        return words.stream().anyMatch(word -> word.text().equals("with"));
    }

    private static GivenArguments with(YamlNode values) {
        if (values.isFields()) {
            Map<String, GivenValue> named = new LinkedHashMap<>();
            values.fields("with").each((name, value) -> named.put(name.text(), value.given()));
            return new GivenArguments(named, List.of());
        }
        return new GivenArguments(
                Map.of(),
                values.items("values by name, or a list of them").stream()
                        .map(YamlNode::given)
                        .toList());
    }

    static Optional<Lifetime> lifetime(YamlNode node) {
        Optional<WrittenName> word = node.text("shared, fresh or scoped");
        Optional<Lifetime> lifetime = word.flatMap(text -> Lifetime.of(text.text()));
        if (word.isPresent() && lifetime.isEmpty()) {
            node.faults()
                    .malformed(
                            node.at(),
                            word.get().text() + " is not a lifetime.",
                            "write shared, fresh or scoped");
        }
        return lifetime;
    }
}
