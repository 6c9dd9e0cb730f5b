package dev.patientharbor.notation;

import dev.patientharbor.model.Demand;
import dev.patientharbor.model.Demand.Kind;
import dev.patientharbor.model.Expectation;
import dev.patientharbor.model.Lifetime;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.Written;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads the rules of a profile, and what it expects. */
final class DemandReader {

    private final Faults faults;
    private final List<Demand> demands = new ArrayList<>();

    private DemandReader(Faults faults) {
        this.faults = faults;
    }

    static List<Demand> demands(Piece piece) {
        DemandReader reader = new DemandReader(piece.faults());
        Fields rules = piece.fields("rules");
        rules.take("stand-ins").ifPresent(reader::standIns);
        rules.take("keys")
                .ifPresent(
                        all ->
                                all.fields("keys")
                                        .each(
                                                (slot, keys) ->
                                                        reader.add(
                                                                Kind.KEYS,
                                                                slot,
                                                                keys.texts("a list of keys"),
                                                                Optional.empty())));
        rules.take("outermost")
                .ifPresent(
                        all ->
                                all.fields("outermost")
                                        .each(
                                                (slot, layer) ->
                                                        reader.add(
                                                                Kind.OUTERMOST,
                                                                slot,
                                                                layer.texts("a decorator"),
                                                                Optional.empty())));
        rules.take("must-be-real").ifPresent(all -> reader.each(Kind.MUST_BE_REAL, all));
        rules.take("never-real").ifPresent(all -> reader.each(Kind.NEVER_REAL, all));
        rules.take("lifetimes")
                .ifPresent(
                        all ->
                                all.fields("lifetimes")
                                        .each(
                                                (slot, lifetime) ->
                                                        reader.add(
                                                                Kind.LIFETIME,
                                                                slot,
                                                                List.of(),
                                                                BindingReader.lifetime(lifetime))));
        rules.tellUnknown();
        return reader.demands;
    }

    private void standIns(Piece word) {
        word.text("forbidden")
                .ifPresent(
                        text -> {
                            if (text.text().equals("forbidden")) {
                                demands.add(
                                        new Demand(
                                                Kind.NO_STAND_INS,
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

    private void each(Kind kind, Piece slots) {
        slots.texts("a slot, or a list of slots")
                .forEach(slot -> add(kind, slot, List.of(), Optional.empty()));
    }

    private void add(Kind kind, Written slot, List<Written> words, Optional<Lifetime> lifetime) {
        boolean lacks = kind == Kind.LIFETIME && lifetime.isEmpty();
        if (!lacks) {
            WordsReader.slot(slot, faults)
                    .ifPresent(
                            one ->
                                    demands.add(
                                            new Demand(
                                                    kind,
                                                    Optional.of(one),
                                                    words,
                                                    lifetime,
                                                    slot.at())));
        }
    }

    static List<Expectation> expectations(Piece piece) {
        List<Expectation> all = new ArrayList<>();
        piece.fields("expect")
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
            Written consumer, Written slot, Piece received) {
        List<Written> classes = received.texts("a class, or decorators and a class");
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
        Optional<Slot> one = WordsReader.slot(slot, received.faults());
        return classes.isEmpty()
                ? Optional.empty()
                : one.map(known -> new Expectation(consumer, known, classes, slot.at()));
    }
}
