package dev.patientharbor.notation;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.ImplementationKind;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.Written;
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

    private final Fields fields;
    private final Faults faults;

    /** The supply keys that the map has, whether they could be understood or not. */
    private final List<String> said = new ArrayList<>();

    private final List<Supply> supplies = new ArrayList<>();

    private SupplyReader(Fields fields, Faults faults) {
        this.fields = fields;
        this.faults = faults;
    }

    /** The reserved words, and for every other word a class of that name. */
    static Supply inOneWord(Written text) {
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
    static Optional<Supply> read(Slot slot, Where at, Fields fields, Faults faults, boolean part) {
        SupplyReader reader = new SupplyReader(fields, faults);
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
        ImplementationKind as =
                fields.take("as").flatMap(this::kind).orElse(ImplementationKind.REAL);
        take("class", piece -> ofClass(as, piece));
        take("fake", piece -> ofClass(ImplementationKind.FAKE, piece));
        take("stub", this::stub);
        take(MOCK, piece -> piece.flag(MOCK) ? Optional.of(new Supply.Mock()) : Optional.empty());
        take("factory", piece -> factory(as, piece));
        take("value", piece -> Optional.of(new Supply.OfValue(as, piece.given())));
        take("same-as", this::sameAs);
        take("keyed-by", piece -> keyedBy(as, piece));
        take("members", this::members);
    }

    private interface Reading {
        Optional<? extends Supply> read(Piece piece);
    }

    private void take(String key, Reading reading) {
        fields.take(key)
                .ifPresent(
                        piece -> {
                            said.add(key);
                            reading.read(piece).ifPresent(supplies::add);
                        });
    }

    /** What a supply that could be the real thing is called. */
    private Optional<ImplementationKind> kind(Piece piece) {
        Optional<Written> word = piece.text("fake or stub");
        if (word.filter(one -> one.text().equals("fake")).isPresent()) {
            return Optional.of(ImplementationKind.FAKE);
        }
        if (word.filter(one -> one.text().equals("stub")).isPresent()) {
            return Optional.of(ImplementationKind.STUB);
        }
        word.ifPresent(
                one ->
                        faults.malformed(
                                one.at(), one.text() + " is no stand-in.", "write fake or stub"));
        return Optional.empty();
    }

    private static Optional<Supply> ofClass(ImplementationKind kind, Piece piece) {
        return piece.text("a class").map(name -> new Supply.OfClass(kind, name));
    }

    private Optional<Supply> stub(Piece piece) {
        return piece.isFields()
                ? Optional.of(new Supply.OfAnswers(CannedReader.read(piece)))
                : ofClass(ImplementationKind.STUB, piece);
    }

    private Optional<Supply> factory(ImplementationKind as, Piece piece) {
        Optional<Written> text = piece.text("a method: CLASS#METHOD");
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
        Written holder = new Written(parts[0].strip(), text.get().at());
        return Optional.of(new Supply.Factory(as, holder, parts[1].strip()));
    }

    private Optional<Supply> sameAs(Piece piece) {
        return piece.text("a slot")
                .flatMap(text -> WordsReader.slot(text, faults))
                .map(Supply.SameAs::new);
    }

    private Optional<Supply> members(Piece piece) {
        return Optional.of(
                new Supply.Members(
                        piece.texts("a list of slots").stream()
                                .flatMap(text -> WordsReader.slot(text, faults).stream())
                                .toList()));
    }

    private Optional<Supply> keyedBy(ImplementationKind as, Piece piece) {
        List<Written> classes =
                fields.take("classes")
                        .map(one -> one.texts("a class, or a list of classes"))
                        .orElse(List.of());
        if (classes.isEmpty()) {
            faults.malformed(
                    piece.at(),
                    "Nothing says which classes state their keys.",
                    "add classes: [CLASS, CLASS]");
        }
        return piece.text("the name of a method")
                .map(method -> new Supply.ByStatedKey(as, method.text(), classes));
    }
}
