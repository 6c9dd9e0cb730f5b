package dev.patientharbor.needs;

import dev.patientharbor.code.AnnotationFacts;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.terms.Key;
import dev.patientharbor.texts.ShortName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Reads the key of a need from its marks, as the open standard's qualifiers say. */
public final class QualifierReader {

    private final CodeIndex code;
    private final KnownMarks known;
    private final Map<String, Optional<ClassFacts>> qualifiers = new HashMap<>();

    public QualifierReader(CodeIndex code, KnownMarks known) {
        this.known = known;
        this.code = code;
    }

    /** The key: a name, unless it is empty, or a qualifier with its members, defaults included. */
    public Optional<Key> key(List<AnnotationFacts> marks) {
        for (AnnotationFacts mark : marks) {
            if (known.isNamed(mark)) {
                return Optional.of(mark.members().getOrDefault("value", ""))
                        .filter(name -> !name.isBlank())
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
    public boolean isMarked(List<AnnotationFacts> marks) {
        if (KnownMarks.isSingleton(marks)) {
            return true;
        }
        for (AnnotationFacts mark : marks) {
            boolean named = known.isNamed(mark);
            if (named || qualifiers.computeIfAbsent(mark.type(), this::qualifier).isPresent()) {
                return true;
            }
            boolean scope =
                    code.find(mark.type())
                            .filter(facts -> KnownMarks.isScope(facts.annotations()))
                            .isPresent();
            if (scope) {
                return true;
            }
        }
        return false;
    }

    private Optional<ClassFacts> qualifier(String annotation) {
        return code.find(annotation).filter(facts -> KnownMarks.isQualifier(facts.annotations()));
    }

    /** How many keys marks give: more than one is one too many. */
    int count(List<AnnotationFacts> marks) {
        int count = 0;
        for (AnnotationFacts mark : marks) {
            boolean isKey =
                    known.isNamed(mark)
                            || qualifiers.computeIfAbsent(mark.type(), this::qualifier).isPresent();
            count += isKey ? 1 : 0;
        }
        return count;
    }

    /** Whether a mark is a name that says none. */
    boolean isBlank(AnnotationFacts mark) {
        return KnownMarks.isNamedByStandard(mark)
                && mark.members().getOrDefault("value", "").isBlank();
    }

    /** Whether an annotation is a qualifier, by its class file. */
    public static boolean isQualifier(ClassFacts annotation) {
        return KnownMarks.isQualifier(annotation.annotations());
    }

    private static Key key(AnnotationFacts mark, ClassFacts qualifier) {
        return key(mark.members(), qualifier);
    }

    /** The key that a qualifier gives, defaults included. */
    private static Key key(Map<String, String> said, ClassFacts qualifier) {
        Map<String, String> members = new TreeMap<>(qualifier.memberDefaults());
        members.putAll(said);
        boolean valueAlone = members.keySet().equals(Set.of("value"));
        String text =
                members.entrySet().stream()
                        .map(
                                member ->
                                        valueAlone
                                                ? member.getValue()
                                                : member.getKey() + '=' + member.getValue())
                        .collect(Collectors.joining(","));
        String name = qualifier.name();
        return new Key(ShortName.of(name) + '(' + text + ')', name);
    }

    /**
     * The key that a file means by a qualifier: {@code Zone(COAST)}, {@code Zone(value=COAST)}, its
     * members in any order, those left out that have a default, or the bare name if all have.
     */
    public static Key written(String text, ClassFacts qualifier) {
        int open = text.indexOf('(');
        Map<String, String> members = new TreeMap<>();
        for (String one : open < 0 ? List.<String>of() : split(text.substring(open))) {
            int equals = one.indexOf('=');
            boolean isNamed = equals > 0 && isMember(qualifier, one.substring(0, equals).strip());
            members.put(
                    isNamed ? one.substring(0, equals).strip() : "value",
                    isNamed ? one.substring(equals + 1).strip() : one.strip());
        }
        return key(members, qualifier);
    }

    /** Returns whether a qualifier may stand without any members. */
    public static boolean hasDefaultsAlone(ClassFacts qualifier) {
        return qualifier.openMethods().stream()
                .allMatch(
                        openMethod ->
                                qualifier
                                        .memberDefaults()
                                        .containsKey(
                                                openMethod.substring(0, openMethod.indexOf('('))));
    }

    private static boolean isMember(ClassFacts qualifier, String name) {
        return qualifier.openMethods().stream()
                .anyMatch(openMethod -> openMethod.startsWith(name + '('));
    }

    /** Splits what stands between brackets at the commas that are in no brackets themselves. */
    private static List<String> split(String inBrackets) {
        List<String> parts = new ArrayList<>();
        int depth = 0;
        int from = 1;
        for (int i = 1; i < inBrackets.length(); i++) {
            char sign = inBrackets.charAt(i);
            boolean ends = i == inBrackets.length() - 1;
            if (ends || depth == 0 && sign == ',') {
                if (i > from) {
                    parts.add(inBrackets.substring(from, i));
                }
                from = i + 1;
            } else if (sign == '[' || sign == '(') {
                depth++;
            } else if (sign == ']' || sign == ')') {
                depth--;
            }
        }
        return parts;
    }
}
