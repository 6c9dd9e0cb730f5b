package dev.patientharbor.resolve;

import dev.patientharbor.code.AnnotationFacts;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.model.Key;
import dev.patientharbor.model.ShortName;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Reads the key of a need from its marks, as the open standard's qualifiers say. */
final class Qualifiers {

    private final CodeIndex code;
    private final Marks known;
    private final Map<String, Optional<ClassFacts>> qualifiers = new HashMap<>();

    Qualifiers(CodeIndex code, Marks known) {
        this.known = known;
        this.code = code;
    }

    /** The key: a name, unless it is empty, or a qualifier with its members, defaults included. */
    Optional<Key> key(List<AnnotationFacts> marks) {
        for (AnnotationFacts mark : marks) {
            if (known.isNamed(mark)) {
                return Optional.of(mark.members().getOrDefault("value", ""))
                        .filter(name -> !name.isEmpty())
                        .map(Key::named);
            }
            Optional<ClassFacts> qualifier =
                    qualifiers.computeIfAbsent(mark.type(), this::qualifier);
            if (qualifier.isPresent()) {
                return Optional.of(key(mark, qualifier.get()));
            }
        }
        return Optional.empty();
    }

    /**
     * Whether a class says by a mark that it is there to be supplied: a name, qualifier or scope.
     */
    boolean isMarked(List<AnnotationFacts> marks) {
        if (Marks.isSingleton(marks)) {
            return true;
        }
        for (AnnotationFacts mark : marks) {
            boolean named = known.isNamed(mark);
            if (named || qualifiers.computeIfAbsent(mark.type(), this::qualifier).isPresent()) {
                return true;
            }
            boolean scope =
                    code.find(mark.type())
                            .filter(facts -> Marks.isScope(facts.annotations()))
                            .isPresent();
            if (scope) {
                return true;
            }
        }
        return false;
    }

    private Optional<ClassFacts> qualifier(String annotation) {
        return code.find(annotation).filter(facts -> Marks.isQualifier(facts.annotations()));
    }

    private static Key key(AnnotationFacts mark, ClassFacts qualifier) {
        Map<String, String> members = new TreeMap<>(qualifier.memberDefaults());
        members.putAll(mark.members());
        boolean valueAlone = members.keySet().equals(java.util.Set.of("value"));
        String text =
                members.entrySet().stream()
                        .map(
                                member ->
                                        valueAlone
                                                ? member.getValue()
                                                : member.getKey() + '=' + member.getValue())
                        .collect(Collectors.joining(","));
        String name = mark.type();
        return new Key(ShortName.of(name) + '(' + text + ')', name);
    }
}
