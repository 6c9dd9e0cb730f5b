package dev.patientharbor.notation;

import dev.patientharbor.model.Binding;
import dev.patientharbor.model.Decoration;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.SlotParser;
import dev.patientharbor.model.Written;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads one profile. */
final class ProfileReader {

    private ProfileReader() {}

    static Profile read(Written name, Piece piece) {
        Fields profile = piece.fields("the profile " + name.text());
        boolean partial = profile.take("partial").map(flag -> flag.flag("partial")).orElse(false);
        List<Written> parents =
                profile.take("extends")
                        .map(one -> one.texts("a profile, or a list of profiles"))
                        .orElse(List.of());
        List<Binding> bindings = new ArrayList<>();
        profile.take("bindings")
                .ifPresent(
                        all ->
                                all.fields("bindings")
                                        .each(
                                                (slot, supply) ->
                                                        binding(slot, supply, piece.faults())
                                                                .ifPresent(bindings::add)));
        List<Decoration> decorations = new ArrayList<>();
        profile.take("decorators")
                .ifPresent(
                        all ->
                                all.fields("decorators")
                                        .each(
                                                (slot, list) ->
                                                        slot(slot, piece.faults())
                                                                .map(
                                                                        one ->
                                                                                DecorationReader
                                                                                        .read(
                                                                                                one,
                                                                                                slot
                                                                                                        .at(),
                                                                                                list))
                                                                .ifPresent(decorations::add)));
        profile.tellUnknown();
        return new Profile(name.text(), partial, parents, bindings, decorations, name.at());
    }

    private static Optional<Binding> binding(Written slot, Piece supply, Faults faults) {
        return slot(slot, faults).flatMap(one -> BindingReader.read(one, slot.at(), supply));
    }

    static Optional<Slot> slot(Written text, Faults faults) {
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
