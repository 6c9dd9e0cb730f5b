package dev.patientharbor.model;

import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.WrittenName;
import java.util.List;

/**
 * The annotations and lookups of a house, beside the open standard's; names as written.
 *
 * @param inject annotations that mean "supply this"
 * @param key annotations whose value is a key
 * @param absent annotations that mean "may be absent"
 * @param lookup methods that hand out an object for a class, and perhaps a key: {@code
 *     CLASS#METHOD}
 * @param scopes what scope marks stand for
 */
public record HouseMarks(
        List<WrittenName> inject,
        List<WrittenName> key,
        List<WrittenName> absent,
        List<WrittenName> lookup,
        List<ScopeMark> scopes) {

    /** The marks of no house: only the open standard's count. */
    public static final HouseMarks NONE =
            new HouseMarks(List.of(), List.of(), List.of(), List.of(), List.of());

    public HouseMarks {
        inject = List.copyOf(inject);
        key = List.copyOf(key);
        absent = List.copyOf(absent);
        lookup = List.copyOf(lookup);
        scopes = List.copyOf(scopes);
    }

    /** The lifetime for which a scope mark stands. */
    public record ScopeMark(WrittenName mark, Lifetime lifetime) {}
}
