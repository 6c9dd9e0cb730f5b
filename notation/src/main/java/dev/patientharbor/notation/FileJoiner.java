package dev.patientharbor.notation;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.HouseMarks;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.model.Strictness;
import dev.patientharbor.terms.Lifetime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * Makes one set of several files: areas, profiles and all that has an order of its own as if the
 * included text stood first; code and settings of the including file first.
 */
final class FileJoiner {

    private final List<FilePart> parts;
    private final List<FilePart> outermostFirst;
    private final List<Finding> findings;

    private FileJoiner(List<FilePart> parts, List<Finding> findings) {
        this.parts = parts;
        this.findings = findings;
        outermostFirst = new ArrayList<>(parts);
        Collections.reverse(outermostFirst);
    }

    /**
     * Joins parts, the included before the including.
     *
     * @param name what the set is called if no file says so
     * @param findings takes what is defined twice
     */
    static SetDeclaration of(List<FilePart> parts, String name, List<Finding> findings) {
        return new FileJoiner(parts, findings).set(name);
    }

    private SetDeclaration set(String name) {
        FilePart outermost = outermostFirst.get(0);
        return new SetDeclaration(
                outermost.title().orElse(name),
                all(outermostFirst, FilePart::code),
                all(outermostFirst, FilePart::settings),
                all(parts, FilePart::packages),
                all(parts, FilePart::entry),
                all(parts, FilePart::order),
                once(
                        FilePart::consumers,
                        "consumer",
                        consumer -> consumer.name().text(),
                        consumer -> consumer.name().at()),
                outermostFirst.stream()
                        .flatMap(part -> part.defaultLifetime().stream())
                        .findFirst()
                        .orElse(Lifetime.SHARED),
                marks(),
                all(parts, FilePart::mayBeEmpty),
                all(parts, FilePart::fillIn).stream().distinct().toList(),
                strictness(),
                once(FilePart::areas, "area", area -> area.name(), area -> area.at()),
                once(
                        FilePart::profiles,
                        "profile",
                        profile -> profile.name(),
                        profile -> profile.at()),
                SourcePosition.startOf(name));
    }

    private static <T> List<T> all(List<FilePart> parts, Function<FilePart, List<T>> of) {
        return parts.stream().flatMap(part -> of.apply(part).stream()).toList();
    }

    /**
     * Joins severities and suppressions; of two severities of one kind, the including file's wins.
     */
    private Strictness strictness() {
        Map<String, Severity> severities = new HashMap<>();
        parts.forEach(part -> severities.putAll(part.strictness().severities()));
        return new Strictness(severities, all(parts, part -> part.strictness().suppressions()));
    }

    private HouseMarks marks() {
        return new HouseMarks(
                all(parts, part -> part.marks().inject()),
                all(parts, part -> part.marks().key()),
                all(parts, part -> part.marks().absent()),
                all(parts, part -> part.marks().lookup()),
                all(parts, part -> part.marks().scopes()),
                all(parts, part -> part.marks().touches()));
    }

    /** What must have a name of its own: of two, the first is kept and the second told. */
    private <T> List<T> once(
            Function<FilePart, List<T>> of,
            String what,
            Function<T, String> name,
            Function<T, SourcePosition> at) {
        Map<String, T> kept = new LinkedHashMap<>();
        for (T one : all(parts, of)) {
            T first = kept.putIfAbsent(name.apply(one), one);
            if (first != null) {
                findings.add(
                        Finding.of(
                                        FindingKinds.DEFINED_TWICE,
                                        at.apply(one),
                                        name.apply(one),
                                        "The "
                                                + what
                                                + " "
                                                + name.apply(one)
                                                + " is defined in two files.")
                                .with("first at", at.apply(first).text())
                                .with("do", "keep one of the two, or extend one by the other"));
            }
        }
        return List.copyOf(kept.values());
    }
}
