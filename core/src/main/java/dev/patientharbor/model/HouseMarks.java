package dev.patientharbor.model;

import dev.patientharbor.survey.TouchKind;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * The annotations and lookups of a house, beside the open standard's; names as written.
 *
 * @param inject annotations that mean "supply this"
 * @param key annotations whose value is a key
 * @param absent annotations that mean "may be absent"
 * @param lookup methods that hand out an object for a class, and perhaps a key: {@code
 *     CLASS#METHOD}
 * @param scopes what scope marks stand for
 * @param touches what the house's own entry points reach outside
 */
public record HouseMarks(
        List<WrittenName> inject,
        List<WrittenName> key,
        List<WrittenName> absent,
        List<WrittenName> lookup,
        List<ScopeMark> scopes,
        List<TouchMark> touches) {

    /** The marks of no house: only the open standard's count. */
    public static final HouseMarks NONE =
            new HouseMarks(List.of(), List.of(), List.of(), List.of(), List.of(), List.of());

    public HouseMarks {
        inject = List.copyOf(inject);
        key = List.copyOf(key);
        absent = List.copyOf(absent);
        lookup = List.copyOf(lookup);
        scopes = List.copyOf(scopes);
        touches = List.copyOf(touches);
    }

    /** Returns what the house says of what reaches outside: patterns by kind. */
    public Map<TouchKind, List<String>> touchPatterns() {
        Map<TouchKind, List<String>> patterns = new EnumMap<>(TouchKind.class);
        for (TouchMark mark : touches) {
            patterns.computeIfAbsent(mark.kind(), key -> new ArrayList<>())
                    .add(mark.pattern().text());
        }
        return patterns;
    }

    /**
     * Code that reaches outside.
     *
     * @param pattern a class, a package with {@code .**} behind it, or {@code CLASS#MEMBER}
     */
    public record TouchMark(TouchKind kind, WrittenName pattern) {}

    /** The lifetime for which a scope mark stands. */
    public record ScopeMark(WrittenName mark, Lifetime lifetime) {}
}
