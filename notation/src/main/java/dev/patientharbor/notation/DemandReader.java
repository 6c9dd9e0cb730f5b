package dev.patientharbor.notation;

import dev.patientharbor.model.Demand;
import dev.patientharbor.model.Expectation;
import dev.patientharbor.model.Loosening;
import dev.patientharbor.survey.TouchKind;
import dev.patientharbor.terms.DemandKind;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Reads the rules of a profile, and what it expects. */
final class DemandReader {

    private final FileFaults faults;
    private final List<Demand> demands = new ArrayList<>();
    private final List<Loosening> loosenings = new ArrayList<>();

    private DemandReader(FileFaults faults) {
        this.faults = faults;
    }

    static DemandReader read(YamlNode node) {
        DemandReader reader = new DemandReader(node.faults());
        YamlMap rules = node.fields("rules");
        for (DemandKind kind : DemandKind.values()) {
            rules.take(kind.word()).ifPresent(demanded -> reader.demand(kind, demanded));
        }
        rules.take("loosen").ifPresent(reader::loosen);
        rules.reportUnknownKeys();
        return reader;
    }

    /** The rules that hold. */
    List<Demand> demands() {
        return demands;
    }

    /** The rules of parents that need not hold. */
    List<Loosening> loosenings() {
        return loosenings;
    }

    private void demand(DemandKind kind, YamlNode node) {
        Runnable read =
                switch (kind) {
                    case NO_STAND_INS -> () -> standIns(node);
                    case KEYS -> () -> eachWith(kind, node, "a list of keys");
                    case OUTERMOST -> () -> eachWith(kind, node, "a decorator");
                    case MUST_BE_REAL, NEVER_REAL -> () -> slots(kind, node);
                    case LIFETIME -> () -> lifetimes(kind, node);
                    case UNTOUCHED -> () -> untouched(node);
                };
        read.run();
    }

    private void slots(DemandKind kind, YamlNode node) {
        node.texts("a slot, or a list of slots")
                .forEach(slot -> add(kind, slot, List.of(), Optional.empty()));
    }

    private void untouched(YamlNode node) {
        List<WrittenName> words = node.texts("what must not be touched, or a list of it");
        words.stream()
                .filter(word -> touchKind(word, faults).isPresent())
                .forEach(
                        word ->
                                demands.add(
                                        new Demand(
                                                DemandKind.UNTOUCHED,
                                                Optional.empty(),
                                                List.of(word),
                                                Optional.empty(),
                                                word.at())));
    }

    /** The kind of a word; a fault of the file if there is none. */
    static Optional<TouchKind> touchKind(WrittenName word, FileFaults faults) {
        Optional<TouchKind> kind = TouchKind.of(word.text());
        if (kind.isEmpty()) {
            faults.malformed(
                    word.at(),
                    "Nothing outside is called " + word.text() + ".",
                    "write one of "
                            + Arrays.stream(TouchKind.values())
                                    .map(TouchKind::word)
                                    .collect(Collectors.joining(", ")));
        }
        return kind;
    }

    private void lifetimes(DemandKind kind, YamlNode node) {
        node.fields(kind.word())
                .each(
                        (slot, word) ->
                                BindingReader.lifetime(word)
                                        .ifPresent(
                                                lifetime ->
                                                        add(
                                                                kind,
                                                                slot,
                                                                List.of(),
                                                                Optional.of(lifetime))));
    }

    private void eachWith(DemandKind kind, YamlNode node, String wanted) {
        node.fields(kind.word())
                .each((slot, words) -> add(kind, slot, words.texts(wanted), Optional.empty()));
    }

    private void loosen(YamlNode node) {
        YamlMap rules = node.fields("loosen");
        for (DemandKind kind : DemandKind.values()) {
            Optional<YamlNode> rule = rules.take(kind.word());
            if (!kind.isOfSlots()) {
                rule.flatMap(value -> value.text("a reason"))
                        .ifPresent(
                                reason ->
                                        loosenings.add(
                                                new Loosening(
                                                        kind,
                                                        Optional.empty(),
                                                        reason.text(),
                                                        rules.at(kind.word()))));
            } else {
                rule.ifPresent(
                        value ->
                                value.fields("loosen: " + kind.word())
                                        .each((slot, reason) -> loosen(kind, slot, reason)));
            }
        }
        rules.reportUnknownKeys();
    }

    private void loosen(DemandKind kind, WrittenName slot, YamlNode reason) {
        Optional<WrittenName> because = reason.text("a reason");
        Optional<Slot> found = StatementsReader.slot(slot, faults);
        if (because.isPresent() && found.isPresent()) {
            loosenings.add(new Loosening(kind, found, because.get().text(), slot.at()));
        }
    }

    private void standIns(YamlNode word) {
        word.text("forbidden")
                .ifPresent(
                        text -> {
                            if (text.text().equals("forbidden")) {
                                demands.add(
                                        new Demand(
                                                DemandKind.NO_STAND_INS,
                                                Optional.empty(),
                                                List.of(),
                                                Optional.empty(),
                                                text.at()));
                            } else {
                                faults.malformed(
                                        text.at(),
                                        "The rule for stand-ins cannot be " + text.text() + ".",
                                        "write stand-ins: forbidden");
                            }
                        });
    }

    private void add(
            DemandKind kind,
            WrittenName slot,
            List<WrittenName> words,
            Optional<Lifetime> lifetime) {
        StatementsReader.slot(slot, faults)
                .map(named -> new Demand(kind, Optional.of(named), words, lifetime, slot.at()))
                .ifPresent(demands::add);
    }

    static List<Expectation> expectations(YamlNode node) {
        List<Expectation> all = new ArrayList<>();
        node.fields("expect")
                .each(
                        (consumer, slots) ->
                                slots.fields("what " + consumer.text() + " expects")
                                        .each(
                                                (slot, received) ->
                                                        expectation(consumer, slot, received)
                                                                .ifPresent(all::add)));
        return all;
    }

    private static Optional<Expectation> expectation(
            WrittenName consumer, WrittenName slot, YamlNode received) {
        List<WrittenName> classes = received.texts("a class, or decorators and a class");
        if (received.isList() && classes.isEmpty()) {
            received.faults()
                    .malformed(
                            slot.at(),
                            "It is not said what "
                                    + consumer.text()
                                    + " expects as "
                                    + slot.text()
                                    + ".",
                            "write a class, or decorators and a class");
        }
        Optional<Slot> found = StatementsReader.slot(slot, received.faults());
        return classes.isEmpty()
                ? Optional.empty()
                : found.map(known -> new Expectation(consumer, known, classes, slot.at()));
    }
}
