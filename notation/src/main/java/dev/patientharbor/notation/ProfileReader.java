package dev.patientharbor.notation;

import dev.patientharbor.model.LevelStatements;
import dev.patientharbor.model.PlaceStatements;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.ProfileTerms;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads one profile. */
final class ProfileReader {

    private ProfileReader() {}

    static Profile read(WrittenName name, YamlNode node) {
        YamlMap profile = node.fields("the profile " + name.text());
        boolean partial = profile.take("partial").map(flag -> flag.flag("partial")).orElse(false);
        List<WrittenName> parents =
                profile.take("extends")
                        .map(value -> value.texts("a profile, or a list of profiles"))
                        .orElse(List.of());
        LevelStatements statements = StatementsReader.read(profile, node.faults());
        List<PlaceStatements> within = new ArrayList<>();
        profile.take("within")
                .ifPresent(
                        all ->
                                all.fields("within")
                                        .each((place, level) -> within.add(within(place, level))));
        ProfileTerms terms = terms(profile);
        profile.reportUnknownKeys();
        return new Profile(name.text(), partial, parents, terms, statements, within, name.at());
    }

    private static ProfileTerms terms(YamlMap profile) {
        Optional<DemandReader> rules = profile.take("rules").map(DemandReader::read);
        return new ProfileTerms(
                profile.take("code")
                        .map(node -> node.texts("the place of compiled code, or a list of them")),
                profile.take("lifetime").flatMap(BindingReader::lifetime),
                profile.take("eager").map(flag -> flag.flag("eager")),
                rules.map(DemandReader::demands).orElse(List.of()),
                rules.map(DemandReader::loosenings).orElse(List.of()),
                profile.take("expect").map(DemandReader::expectations).orElse(List.of()));
    }

    private static PlaceStatements within(WrittenName place, YamlNode node) {
        YamlMap level = node.fields("the words for " + place.text());
        LevelStatements statements = StatementsReader.read(level, node.faults());
        level.reportUnknownKeys();
        return new PlaceStatements(place, statements);
    }
}
