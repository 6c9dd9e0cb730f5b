package dev.patientharbor.notation;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.Given;
import dev.patientharbor.model.Grounds;
import dev.patientharbor.model.Lifetime;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.With;
import dev.patientharbor.model.Written;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads one binding: a class alone, a reserved word, or a map with one supply. */
final class BindingReader {

    private BindingReader() {}

    static Optional<Binding> read(Slot slot, Where at, Piece piece) {
        if (!piece.isFields()) {
            return piece.text("a class, mock, or a map such as { stub: CLASS }")
                    .map(SupplyReader::inOneWord)
                    .map(
                            supply ->
                                    new Binding(
                                            slot,
                                            supply,
                                            With.NOTHING,
                                            Optional.empty(),
                                            false,
                                            Optional.empty(),
                                            Grounds.NONE,
                                            at));
        }
        Fields fields = piece.fields("the binding of " + slot.text());
        With with = with(fields);
        Optional<Lifetime> lifetime = fields.take("lifetime").flatMap(BindingReader::lifetime);
        Optional<List<String>> constructor = constructor(fields);
        boolean keepsValues =
                fields.take("keep").map(keep -> keep(keep, piece.faults())).orElse(false);
        Grounds grounds = GroundsReader.read(fields);
        boolean part =
                !with.isEmpty()
                        || lifetime.isPresent()
                        || constructor.isPresent()
                        || !grounds.isEmpty();
        Optional<Supply> supply = SupplyReader.read(slot, at, fields, piece.faults(), part);
        fields.tellUnknown();
        return supply.map(
                one ->
                        new Binding(
                                slot, one, with, lifetime, keepsValues, constructor, grounds, at));
    }

    /** The constructor that is named by its parameter types. */
    static Optional<List<String>> constructor(Fields fields) {
        return fields.take("constructor")
                .map(types -> types.items("a list of parameter types"))
                .map(BindingReader::types);
    }

    /** The values for a constructor or a factory. */
    static With with(Fields fields) {
        return fields.take("with").map(BindingReader::with).orElse(With.NOTHING);
    }

    private static List<String> types(List<Piece> types) {
        return types.stream()
                .flatMap(type -> type.text("a parameter type").stream())
                .map(Written::text)
                .toList();
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
