package dev.patientharbor.notation;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Decorator;
import dev.patientharbor.model.DecoratorStatement;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import java.util.List;
import java.util.Optional;

/** Reads what a profile says about the decorators of a slot: a whole list, or a change of one. */
final class DecoratorStatementReader {

    private static final String WANTED = "a decorator class, or a list of them";

    private DecoratorStatementReader() {}

    static DecoratorStatement read(Slot slot, SourcePosition at, YamlNode node) {
        if (!node.isFields() || node.hasAny(DecoratorReader.WORDS)) {
            return DecoratorStatement.of(slot, DecoratorReader.read(node), at);
        }
        YamlMap map = node.fields("the decorators of " + slot.text());
        List<WrittenName> drop = names(map, "drop");
        List<Decorator> innermost = wrappers(map, "innermost");
        List<Decorator> outermost = wrappers(map, "outermost");
        map.reportUnknownKeys();
        return new DecoratorStatement(slot, Optional.empty(), drop, innermost, outermost, at);
    }

    private static List<WrittenName> names(YamlMap map, String key) {
        return map.take(key).map(node -> node.texts(WANTED)).orElse(List.of());
    }

    private static List<Decorator> wrappers(YamlMap map, String key) {
        return map.take(key).map(DecoratorReader::read).orElse(List.of());
    }
}
