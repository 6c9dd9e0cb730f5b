package dev.patientharbor.notation;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Decoration;
import dev.patientharbor.model.Decorator;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.Written;
import java.util.List;
import java.util.Optional;

/** Reads what a profile says about the decorators of a slot: a whole list, or a change of one. */
final class DecorationReader {

    private static final String WANTED = "a decorator class, or a list of them";

    private DecorationReader() {}

    static Decoration read(Slot slot, Where at, Piece piece) {
        if (!piece.isFields() || piece.hasAny(WrapperReader.WORDS)) {
            return Decoration.of(slot, WrapperReader.read(piece), at);
        }
        Fields fields = piece.fields("the decorators of " + slot.text());
        List<Written> drop = names(fields, "drop");
        List<Decorator> innermost = wrappers(fields, "innermost");
        List<Decorator> outermost = wrappers(fields, "outermost");
        fields.tellUnknown();
        return new Decoration(slot, Optional.empty(), drop, innermost, outermost, at);
    }

    private static List<Written> names(Fields fields, String key) {
        return fields.take(key).map(piece -> piece.texts(WANTED)).orElse(List.of());
    }

    private static List<Decorator> wrappers(Fields fields, String key) {
        return fields.take(key).map(WrapperReader::read).orElse(List.of());
    }
}
