package dev.patientharbor.code;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.WrittenName;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.objectweb.asm.Opcodes;

/** Classes that a test makes up, as facts. */
public final class MadeUpCode {

    /** The place under which it is seen. */
    public static final WrittenName PLACE =
            new WrittenName("made up", SourcePosition.classNamed("p.Test"));

    private MadeUpCode() {}

    public static CodeIndex of(List<ClassFacts> classes) {
        return places(classes).whole();
    }

    public static CodePlaces places(List<ClassFacts> classes) {
        Map<String, CodeEntry> entries = new HashMap<>();
        classes.forEach(facts -> entries.putIfAbsent(facts.name(), new CodeEntry(facts)));
        CodeRoot root = new CodeRoot(PLACE, Path.of("made-up"));
        return new CodePlaces(
                new OpenedCode(
                        List.of(root),
                        List.of(List.of(source(root.path(), List.copyOf(entries.values())))),
                        List.of(),
                        FactsRequest.NOTHING,
                        new ReadCount()));
    }

    private static ClassSource source(Path path, List<CodeEntry> entries) {
        return new ClassSource(
                path,
                entries.size(),
                () -> new NamedEntries(entries),
                List.of(),
                identity -> false,
                () -> {});
    }

    public static ClassFacts contract(String name) {
        return facts(
                name,
                Opcodes.ACC_INTERFACE | Opcodes.ACC_ABSTRACT,
                List.of(),
                List.of(),
                List.of());
    }

    /**
     * A class with one constructor.
     *
     * @param implemented its interfaces
     * @param parameters the generic types of the parameters, as in JVMS 4.7.9.1
     * @param erased the same, erased
     * @param keys the name of each parameter's key, empty for none
     */
    public static ClassFacts classOf(
            String name,
            List<String> implemented,
            List<String> parameters,
            List<String> erased,
            List<String> keys) {
        return classOf(name, implemented, parameters, erased, keys, List.of());
    }

    /** The same with marks on the class. */
    public static ClassFacts classOf(
            String name,
            List<String> implemented,
            List<String> parameters,
            List<String> erased,
            List<String> keys,
            List<AnnotationFacts> onTheClass) {
        List<List<AnnotationFacts>> marks =
                keys.stream()
                        .map(
                                key ->
                                        key.isEmpty()
                                                ? List.<AnnotationFacts>of()
                                                : List.of(
                                                        new AnnotationFacts(
                                                                "jakarta.inject.Named",
                                                                Map.of("value", key))))
                        .toList();
        List<String> names =
                java.util.stream.IntStream.range(0, keys.size()).mapToObj(i -> "n" + i).toList();
        ExecutableFacts made =
                new ExecutableFacts(
                        "<init>",
                        Opcodes.ACC_PUBLIC,
                        "(" + String.join("", erased) + ")V",
                        Optional.of("(" + String.join("", parameters) + ")V"),
                        names,
                        List.of(),
                        marks,
                        List.of());
        return facts(name, Opcodes.ACC_PUBLIC, implemented, onTheClass, List.of(made));
    }

    private static ClassFacts facts(
            String name,
            int access,
            List<String> implemented,
            List<AnnotationFacts> onTheClass,
            List<ExecutableFacts> made) {
        return new ClassFacts(
                name,
                access,
                Optional.empty(),
                Optional.of("java.lang.Object"),
                implemented,
                onTheClass,
                List.of(),
                made,
                List.of(),
                List.of(),
                Set.of(),
                Map.of(),
                List.of(),
                Set.of(),
                MethodSet.NONE,
                BodyFacts.NONE);
    }
}
