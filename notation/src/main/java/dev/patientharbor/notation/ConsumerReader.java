package dev.patientharbor.notation;

import dev.patientharbor.model.StatedConsumer;
import dev.patientharbor.model.StatedConsumer.Handler;
import dev.patientharbor.model.StatedConsumer.Statics;
import dev.patientharbor.model.StatedConsumer.Thing;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads the consumers that a file states: methods, and what is no class. */
final class ConsumerReader {

    private static final String NEEDS = "needs";
    private static final String PASSED = "passed";
    private static final String STATICS = "statics";
    private static final String FILLED = "filled";

    private ConsumerReader() {}

    static List<StatedConsumer> read(YamlNode node) {
        List<StatedConsumer> all = new ArrayList<>();
        node.fields("consumers").each((name, consumer) -> all.add(consumer(name, consumer)));
        return all;
    }

    private static StatedConsumer consumer(WrittenName name, YamlNode node) {
        YamlMap map = node.fields("the consumer " + name.text());
        String[] parts = name.text().split("#", -1);
        boolean isMethod = parts.length == 2 && !parts[0].isBlank() && !parts[1].isBlank();
        if (isMethod) {
            List<WrittenName> passed =
                    map.take(PASSED)
                            .map(value -> value.texts("the names of parameters"))
                            .orElse(List.of());
            map.reportUnknownKeys();
            WrittenName holder = new WrittenName(parts[0].strip(), name.at());
            return new Handler(name, holder, parts[1].strip(), passed);
        }
        Optional<WrittenName> statics = map.take(STATICS).flatMap(value -> value.text(FILLED));
        if (statics.isPresent()) {
            if (!statics.get().text().equals(FILLED)) {
                node.faults()
                        .malformed(
                                statics.get().at(),
                                statics.get().text() + " is nothing that can be said of statics.",
                                "write statics: filled");
            }
            map.reportUnknownKeys();
            return new Statics(name);
        }
        Map<String, Slot> needs = new LinkedHashMap<>();
        Optional<YamlNode> all = map.take(NEEDS);
        if (all.isEmpty()) {
            node.faults()
                    .malformed(
                            name.at(),
                            "The consumer " + name.text() + " does not say what it needs.",
                            "write needs: { NAME: SLOT }, or name a method: CLASS#METHOD; or"
                                    + " statics: filled, for a class");
        }
        all.ifPresent(
                value ->
                        value.fields(NEEDS)
                                .each(
                                        (need, slot) ->
                                                slot.text("a slot")
                                                        .flatMap(
                                                                text ->
                                                                        StatementsReader.slot(
                                                                                text,
                                                                                node.faults()))
                                                        .ifPresent(
                                                                read ->
                                                                        needs.put(
                                                                                need.text(),
                                                                                read))));
        map.reportUnknownKeys();
        return new Thing(name, needs);
    }
}
