package dev.patientharbor.notation;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.Given;
import dev.patientharbor.model.ImplementationKind;
import dev.patientharbor.model.Lifetime;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.With;
import dev.patientharbor.model.Written;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads one binding: a class alone, a reserved word, or a map with one supply. */
final class BindingReader {

    private static final String MOCK = "mock";

    private BindingReader() {}

    static Optional<Binding> read(Slot slot, Where at, Piece piece) {
        if (!piece.isFields()) {
            return piece.text("a class, mock, or a map such as { stub: CLASS }")
                    .map(
                            text ->
                                    new Binding(
                                            slot,
                                            inOneWord(text),
                                            With.NOTHING,
                                            Optional.empty(),
                                            false,
                                            Optional.empty(),
                                            at));
        }
        Fields fields = piece.fields("the binding of " + slot.text());
        List<String> said = new ArrayList<>();
        List<Supply> supplies = new ArrayList<>();
        ofClass(fields, "class", ImplementationKind.REAL, said, supplies);
        ofClass(fields, "fake", ImplementationKind.FAKE, said, supplies);
        ofClass(fields, "stub", ImplementationKind.STUB, said, supplies);
        fields.take(MOCK)
                .ifPresent(
                        flag -> {
                            said.add(MOCK);
                            if (flag.flag(MOCK)) {
                                supplies.add(new Supply.Mock());
                            }
                        });
        fields.take("factory")
                .ifPresent(
                        method -> {
                            said.add("factory");
                            method.text("a method: CLASS#METHOD")
                                    .flatMap(text -> factory(text, piece.faults()))
                                    .ifPresent(supplies::add);
                        });
        fields.take("value")
                .ifPresent(
                        value -> {
                            said.add("value");
                            supplies.add(new Supply.OfValue(value.given()));
                        });
        With with = fields.take("with").map(BindingReader::with).orElse(With.NOTHING);
        fields.take("same-as")
                .ifPresent(
                        target -> {
                            said.add("same-as");
                            target.text("a slot")
                                    .flatMap(text -> WordsReader.slot(text, piece.faults()))
                                    .ifPresent(other -> supplies.add(new Supply.SameAs(other)));
                        });
        Optional<Lifetime> lifetime = fields.take("lifetime").flatMap(BindingReader::lifetime);
        Optional<List<String>> constructor =
                fields.take("constructor")
                        .map(
                                types ->
                                        types.items("a list of parameter types").stream()
                                                .flatMap(
                                                        type ->
                                                                type
                                                                        .text("a parameter type")
                                                                        .stream())
                                                .map(Written::text)
                                                .toList());
        boolean keepsValues =
                fields.take("keep").map(keep -> keep(keep, piece.faults())).orElse(false);
        fields.tellUnknown();
        boolean part =
                said.isEmpty()
                        && (!with.isEmpty() || lifetime.isPresent() || constructor.isPresent());
        if (part) {
            supplies.add(new Supply.Inherited());
        } else if (said.size() != 1) {
            piece.faults()
                    .malformed(
                            at,
                            said.isEmpty()
                                    ? "The binding of " + slot.text() + " names no supply."
                                    : "The binding of "
                                            + slot.text()
                                            + " names more than one supply: "
                                            + String.join(", ", said)
                                            + ".",
                            "write one of class, fake, stub, mock, value, factory, same-as");
        }
        return supplies.stream()
                .findFirst()
                .map(
                        supply ->
                                new Binding(
                                        slot,
                                        supply,
                                        with,
                                        lifetime,
                                        keepsValues,
                                        constructor,
                                        at));
    }

    private static Optional<Supply> factory(Written text, Faults faults) {
        String[] parts = text.text().split("#", -1);
        if (parts.length != 2 || parts[0].isBlank() || parts[1].isBlank()) {
            faults.malformed(
                    text.at(), text.text() + " is not a method.", "write it as CLASS#METHOD");
            return Optional.empty();
        }
        return Optional.of(
                new Supply.Factory(new Written(parts[0].strip(), text.at()), parts[1].strip()));
    }

    /** What a replacement keeps of the inherited binding: its values. */
    private static boolean keep(Piece piece, Faults faults) {
        List<Written> words = piece.texts("[with]");
        for (Written word : words) {
            if (!word.text().equals("with")) {
                faults.malformed(word.at(), word.text() + " cannot be kept.", "write keep: [with]");
            }
        }
        return words.stream().anyMatch(word -> word.text().equals("with"));
    }

    private static With with(Piece values) {
        if (values.isFields()) {
            Map<String, Given> named = new LinkedHashMap<>();
            values.fields("with").each((name, value) -> named.put(name.text(), value.given()));
            return new With(named, List.of());
        }
        return new With(
                Map.of(),
                values.items("values by name, or a list of them").stream()
                        .map(Piece::given)
                        .toList());
    }

    /** The reserved words, and for every other word a class of that name. */
    private static Supply inOneWord(Written text) {
        return switch (text.text()) {
            case MOCK -> new Supply.Mock();
            case "none" -> new Supply.None();
            case "removed" -> new Supply.Removed();
            case "to-fill" -> new Supply.ToFill();
            default -> new Supply.OfClass(ImplementationKind.REAL, text);
        };
    }

    private static void ofClass(
            Fields fields,
            String key,
            ImplementationKind kind,
            List<String> said,
            List<Supply> supplies) {
        fields.take(key)
                .ifPresent(
                        piece -> {
                            said.add(key);
                            piece.text("a class")
                                    .ifPresent(
                                            name -> supplies.add(new Supply.OfClass(kind, name)));
                        });
    }

    static Optional<Lifetime> lifetime(Piece piece) {
        Optional<Written> word = piece.text("shared, fresh or scoped");
        Optional<Lifetime> lifetime = word.flatMap(text -> Lifetime.of(text.text()));
        if (word.isPresent() && lifetime.isEmpty()) {
            piece.faults()
                    .malformed(
                            piece.at(),
                            word.get().text() + " is not a lifetime.",
                            "write shared, fresh or scoped");
        }
        return lifetime;
    }
}
