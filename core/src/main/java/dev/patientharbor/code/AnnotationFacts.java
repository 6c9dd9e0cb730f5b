package dev.patientharbor.code;

import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/**
 * One annotation as it stands in a class file.
 *
 * @param type the binary name of the annotation
 * @param members the members that are set, as text, by name: an enum constant gives its name, a
 *     class its binary name
 */
public record AnnotationFacts(String type, Map<String, String> members) {
    public AnnotationFacts {
        members =
                members.isEmpty() ? Map.of() : Collections.unmodifiableMap(new TreeMap<>(members));
    }
}
