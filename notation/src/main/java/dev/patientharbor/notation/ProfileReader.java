package dev.patientharbor.notation;

import dev.patientharbor.model.Profile;
import dev.patientharbor.model.Terms;
import dev.patientharbor.model.Within;
import dev.patientharbor.model.Words;
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
        Words words = WordsReader.read(profile, piece.faults());
        List<Within> within = new ArrayList<>();
        profile.take("within")
                .ifPresent(
                        all ->
                                all.fields("within")
                                        .each((place, level) -> within.add(within(place, level))));
        Terms terms = terms(profile);
        profile.tellUnknown();
        return new Profile(name.text(), partial, parents, terms, words, within, name.at());
    }

    private static Terms terms(Fields profile) {
        Optional<DemandReader> rules = profile.take("rules").map(DemandReader::read);
        return new Terms(
                profile.take("code")
                        .map(one -> one.texts("the place of compiled code, or a list of them")),
                profile.take("lifetime").flatMap(BindingReader::lifetime),
                profile.take("eager").map(flag -> flag.flag("eager")),
                rules.map(DemandReader::demands).orElse(List.of()),
                rules.map(DemandReader::loosenings).orElse(List.of()),
                profile.take("expect").map(DemandReader::expectations).orElse(List.of()));
    }

    private static Within within(Written place, Piece piece) {
        Fields level = piece.fields("the words for " + place.text());
        Words words = WordsReader.read(level, piece.faults());
        level.tellUnknown();
        return new Within(place, words);
    }
}
