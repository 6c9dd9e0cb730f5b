package dev.patientharbor.notation;

import dev.patientharbor.model.Binding;
import dev.patientharbor.model.DecoratorStatement;
import dev.patientharbor.model.LevelStatements;
import dev.patientharbor.model.Reach;
import dev.patientharbor.model.SupplyForm;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.ReachRange;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.SlotParser;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads what a profile says at one level: bindings, decorators, and how far needs may look. */
final class StatementsReader {

    private final FileFaults faults;
    private final List<Binding> bindings = new ArrayList<>();
    private final List<DecoratorStatement> decorations = new ArrayList<>();
    private final List<Reach> reaches = new ArrayList<>();

    private StatementsReader(FileFaults faults) {
        this.faults = faults;
    }

    static LevelStatements read(YamlMap level, FileFaults faults) {
        StatementsReader reader = new StatementsReader(faults);
        level.take("bindings").ifPresent(all -> all.fields("bindings").each(reader::binding));
        level.take("decorators")
                .ifPresent(all -> all.fields("decorators").each(reader::decoration));
        level.take("reach").ifPresent(all -> all.fields("reach").each(reader::reach));
        return new LevelStatements(reader.bindings, reader.decorations, reader.reaches);
    }

    private void binding(WrittenName slot, YamlNode supply) {
        slot(slot, faults)
                .flatMap(named -> BindingReader.read(named, slot.at(), supply))
                .filter(this::isOfItsKind)
                .ifPresent(bindings::add);
    }

    /**
     * Returns whether a supply suits its slot: every key of a contract is bound by classes that
     * state theirs, and by nothing else.
     */
    private boolean isOfItsKind(Binding binding) {
        boolean every = binding.slot().key().filter(Key::isEvery).isPresent();
        boolean stated = binding.supply().form() == SupplyForm.STATED_KEYS;
        if (every != stated) {
            String contract = binding.slot().contract().text();
            faults.malformed(
                    binding.at(),
                    every
                            ? contract + "@* stands for every key, and no one class fills them all."
                            : "Classes that state their keys fill every key of a contract, not "
                                    + binding.slot().text()
                                    + " alone.",
                    every
                            ? "bind one key, or use keyed-by: METHOD with classes: [CLASS, …]"
                            : "write "
                                    + contract
                                    + "@*: { keyed-by: METHOD, classes: [CLASS, …] }");
        }
        return every == stated;
    }

    private void decoration(WrittenName slot, YamlNode list) {
        slot(slot, faults)
                .map(named -> DecoratorStatementReader.read(named, slot.at(), list))
                .ifPresent(decorations::add);
    }

    private void reach(WrittenName need, YamlNode range) {
        if (range.isFields()) {
            YamlMap map = range.fields("the reach of " + need.text());
            map.take(ReachRange.UP_TO.word())
                    .flatMap(area -> area.text("an area"))
                    .ifPresent(
                            area ->
                                    reaches.add(
                                            new Reach(need, ReachRange.UP_TO, Optional.of(area))));
            map.reportUnknownKeys();
            return;
        }
        range.text("nearest, own, outside, or { up-to: AREA }")
                .ifPresent(
                        word -> {
                            for (ReachRange one :
                                    List.of(
                                            ReachRange.NEAREST,
                                            ReachRange.OWN,
                                            ReachRange.OUTSIDE)) {
                                if (one.word().equals(word.text())) {
                                    reaches.add(new Reach(need, one, Optional.empty()));
                                    return;
                                }
                            }
                            faults.malformed(
                                    word.at(),
                                    word.text() + " is not a reach.",
                                    "write nearest, own, outside, or { up-to: AREA }");
                        });
    }

    static Optional<Slot> slot(WrittenName text, FileFaults faults) {
        Optional<Slot> slot = SlotParser.slot(text.text());
        if (slot.isEmpty()) {
            faults.malformed(
                    text.at(),
                    text.text() + " is not a slot.",
                    "write a contract, or a contract with a key: TideGauge, WeatherFeed@coast,"
                            + " ManifestReader<Ship>");
        }
        return slot;
    }
}
