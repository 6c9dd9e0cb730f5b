package dev.patientharbor.notation;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Supply;
import dev.patientharbor.terms.ImplementationKind;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads what fills a slot: one reserved word or class, or the one key of a map that says it. */
final class SupplyReader {

    private static final String MOCK = "mock";
    private static final List<String> KEYS =
            List.of(
                    "class",
                    "fake",
                    "stub",
                    MOCK,
                    "value",
                    "factory",
                    "same-as",
                    "keyed-by",
                    "members");

    private final YamlMap map;
    private final FileFaults faults;

    /** Returns the supply keys that a map has, whether they could be understood or not. */
    private final List<String> said = new ArrayList<>();

    private final List<Supply> supplies = new ArrayList<>();

    private SupplyReader(YamlMap map, FileFaults faults) {
        this.map = map;
        this.faults = faults;
    }

    /** The reserved words, and for every other word a class of that name. */
    static Supply inOneWord(WrittenName text) {
        return switch (text.text()) {
            case MOCK -> new Supply.Mock();
            case "none" -> new Supply.None();
            case "removed" -> new Supply.Removed();
            case "to-fill" -> new Supply.ToFill();
            default -> new Supply.OfClass(ImplementationKind.REAL, text);
        };
    }

    /**
     * Takes the supply from a map.
     *
     * @param part whether the map has something that may be changed without a supply
     */
    static Optional<Supply> read(
            Slot slot, SourcePosition at, YamlMap map, FileFaults faults, boolean part) {
        SupplyReader reader = new SupplyReader(map, faults);
        reader.readAll();
        if (reader.said.isEmpty() && part) {
            return Optional.of(new Supply.Inherited());
        }
        if (reader.said.size() != 1) {
            faults.malformed(
                    at,
                    reader.said.isEmpty()
                            ? "The binding of " + slot.text() + " names no supply."
                            : "The binding of "
                                    + slot.text()
                                    + " names more than one supply: "
                                    + String.join(", ", reader.said)
                                    + ".",
                    "write one of " + String.join(", ", KEYS));
        }
        return reader.supplies.stream().findFirst();
    }

    private void readAll() {
        ImplementationKind as = map.take("as").flatMap(this::kind).orElse(ImplementationKind.REAL);
        take("class", node -> ofClass(as, node));
        take("fake", node -> ofClass(ImplementationKind.FAKE, node));
        take("stub", this::stub);
        take(MOCK, node -> node.flag(MOCK) ? Optional.of(new Supply.Mock()) : Optional.empty());
        take("factory", node -> factory(as, node));
        take("value", node -> Optional.of(new Supply.OfValue(as, node.given())));
        take("same-as", this::sameAs);
        take("keyed-by", node -> keyedBy(as, node));
        take("members", this::members);
    }

    private interface Reading {
        Optional<? extends Supply> read(YamlNode node);
    }

    private void take(String key, Reading reading) {
        map.take(key)
                .ifPresent(
                        node -> {
                            said.add(key);
                            reading.read(node).ifPresent(supplies::add);
                        });
    }

    /** What a supply that could be the real thing is called. */
    private Optional<ImplementationKind> kind(YamlNode node) {
        Optional<WrittenName> word = node.text("fake or stub");
        if (word.filter(name -> name.text().equals("fake")).isPresent()) {
            return Optional.of(ImplementationKind.FAKE);
        }
        if (word.filter(name -> name.text().equals("stub")).isPresent()) {
            return Optional.of(ImplementationKind.STUB);
        }
        word.ifPresent(
                name ->
                        faults.malformed(
                                name.at(), name.text() + " is no stand-in.", "write fake or stub"));
        return Optional.empty();
    }

    private static Optional<Supply> ofClass(ImplementationKind kind, YamlNode node) {
        return node.text("a class").map(name -> new Supply.OfClass(kind, name));
    }

    private Optional<Supply> stub(YamlNode node) {
        return node.isFields()
                ? Optional.of(new Supply.OfAnswers(CannedReader.read(node)))
                : ofClass(ImplementationKind.STUB, node);
    }

    private Optional<Supply> factory(ImplementationKind as, YamlNode node) {
        Optional<WrittenName> text = node.text("a method: CLASS#METHOD");
        if (text.isEmpty()) {
            return Optional.empty();
        }
        String[] parts = text.get().text().split("#", -1);
        if (parts.length != 2 || parts[0].isBlank() || parts[1].isBlank()) {
            faults.malformed(
                    text.get().at(),
                    text.get().text() + " is not a method.",
                    "write it as CLASS#METHOD");
            return Optional.empty();
        }
        WrittenName holder = new WrittenName(parts[0].strip(), text.get().at());
        return Optional.of(new Supply.Factory(as, holder, parts[1].strip()));
    }

    private Optional<Supply> sameAs(YamlNode node) {
        return node.text("a slot")
                .flatMap(text -> StatementsReader.slot(text, faults))
                .map(Supply.SameAs::new);
    }

    private Optional<Supply> members(YamlNode node) {
        return Optional.of(
                new Supply.Members(
                        node.texts("a list of slots").stream()
                                .flatMap(text -> StatementsReader.slot(text, faults).stream())
                                .toList()));
    }

    private Optional<Supply> keyedBy(ImplementationKind as, YamlNode node) {
        List<WrittenName> classes =
                map.take("classes")
                        .map(value -> value.texts("a class, or a list of classes"))
                        .orElse(List.of());
        if (classes.isEmpty()) {
            faults.malformed(
                    node.at(),
                    "Nothing says which classes state their keys.",
                    "add classes: [CLASS, CLASS]");
        }
        return node.text("the name of a method")
                .map(method -> new Supply.ByStatedKey(as, method.text(), classes));
    }
}
