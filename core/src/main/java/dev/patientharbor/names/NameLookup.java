package dev.patientharbor.names;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.terms.WrittenName;
import java.util.List;
import java.util.Optional;

/**
 * What came of looking up one class name.
 *
 * @param written the name, and where it stands
 * @param found the classes that answer to it: one if all is well
 */
public record NameLookup(WrittenName written, List<ClassFacts> found) {

    /** The class, if there is just one. */
    public Optional<ClassFacts> facts() {
        return found.size() == 1 ? Optional.of(found.get(0)) : Optional.empty();
    }

    public boolean isAmbiguous() {
        return found.size() > 1;
    }
}
