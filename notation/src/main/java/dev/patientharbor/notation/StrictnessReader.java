package dev.patientharbor.notation;

import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.model.Strictness;
import dev.patientharbor.terms.Grounds;
import dev.patientharbor.terms.Suppression;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads how grave findings are, and which are not to be reported. */
final class StrictnessReader {

    private final FileFaults faults;

    private StrictnessReader(FileFaults faults) {
        this.faults = faults;
    }

    static Strictness read(YamlMap file, FileFaults faults) {
        StrictnessReader reader = new StrictnessReader(faults);
        Map<String, Severity> severities = new HashMap<>();
        file.take("severity")
                .ifPresent(
                        all ->
                                all.fields("severity")
                                        .each(
                                                (id, word) -> {
                                                    if (reader.isKnown(id)) {
                                                        reader.severity(word)
                                                                .ifPresent(
                                                                        severity ->
                                                                                severities.put(
                                                                                        id.text(),
                                                                                        severity));
                                                    }
                                                }));
        List<Suppression> suppressions = new ArrayList<>();
        file.take("suppress")
                .ifPresent(
                        all ->
                                all.items("a list of suppressions")
                                        .forEach(
                                                node ->
                                                        reader.suppression(node)
                                                                .ifPresent(suppressions::add)));
        return new Strictness(severities, suppressions);
    }

    private Optional<Severity> severity(YamlNode node) {
        Optional<WrittenName> word = node.text("error, warning or note");
        Optional<Severity> severity =
                word.flatMap(
                        text ->
                                Arrays.stream(Severity.values())
                                        .filter(candidate -> candidate.word().equals(text.text()))
                                        .findFirst());
        if (word.isPresent() && severity.isEmpty()) {
            faults.malformed(
                    node.at(),
                    word.get().text() + " is not a severity.",
                    "write error, warning or note");
        }
        return severity;
    }

    private Optional<Suppression> suppression(YamlNode node) {
        YamlMap map = node.fields("a suppression");
        Optional<WrittenName> id =
                map.take("id")
                        .flatMap(value -> value.text("the id of a finding"))
                        .filter(this::isKnown);
        Optional<WrittenName> of =
                map.take("at")
                        .flatMap(value -> value.text("a slot, a class, a consumer, or FILE:LINE"));
        Grounds grounds = GroundsReader.read(map);
        map.reportUnknownKeys();
        boolean lacksWord = !map.has("id");
        if (lacksWord || grounds.because().isEmpty()) {
            faults.malformed(
                    node.at(),
                    lacksWord
                            ? "A suppression says what it suppresses."
                            : "A suppression without a reason.",
                    "write { id: unused-binding, at: SLOT, because: REASON }");
            return Optional.empty();
        }
        String place = of.map(WrittenName::text).orElse("");
        return id.filter(name -> of.isPresent() || !map.has("at"))
                .map(name -> new Suppression(name.text(), place, grounds, name.at()));
    }

    private boolean isKnown(WrittenName id) {
        List<String> known = FindingKinds.all().stream().map(FindingKind::id).toList();
        if (!known.contains(id.text())) {
            faults.unknown(
                    id.at(), id.text(), "There is no finding of the id " + id.text() + ".", known);
        }
        return known.contains(id.text());
    }
}
