package dev.patientharbor.inherited;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.model.EntryText;
import dev.patientharbor.terms.WrittenName;
import java.util.List;

/**
 * An entry of the file and the classes that it names.
 *
 * @param written the class name or pattern
 * @param classes the consumers, or what is taken out of patterns, sorted by name; none if nothing
 *     answers to it
 * @param ambiguous whether it is a short name that fits several classes
 */
public record ResolvedEntry(WrittenName written, List<ClassFacts> classes, boolean ambiguous) {

    /** What it does, and the class or pattern in it. */
    public EntryText text() {
        return EntryText.of(written.text());
    }

    /** Whether its classes are those that it takes out of patterns. */
    public boolean isExclusion() {
        return text().kind() == EntryText.Kind.EXCLUDED;
    }
}
