package dev.patientharbor.surveying;

import dev.patientharbor.code.AnnotationFacts;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.code.FieldFacts;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ArrayType;
import dev.patientharbor.terms.TypeRef.ClassType;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Who asks for which types: in constructors, and where the open standard's mark stands. Collections
 * and holders ask for what they hold.
 */
final class AskedTypes {

    /** The types of the JDK that programs ask for so that tests can pass another. */
    private static final Set<String> OF_JDK =
            Set.of(
                    "java.time.Clock",
                    "java.time.InstantSource",
                    "java.util.Random",
                    "java.util.random.RandomGenerator",
                    "java.util.concurrent.Executor",
                    "java.util.concurrent.ExecutorService",
                    "java.util.concurrent.ScheduledExecutorService",
                    "java.net.http.HttpClient",
                    "javax.sql.DataSource");

    private final CodeIndex code;
    private final Map<String, SortedSet<String>> askedBy = new TreeMap<>();

    private AskedTypes(CodeIndex code) {
        this.code = code;
    }

    static AskedTypes of(CodeIndex code, Collection<ClassFacts> consumers) {
        AskedTypes asked = new AskedTypes(code);
        consumers.forEach(asked::add);
        return asked;
    }

    private void add(ClassFacts consumer) {
        for (ExecutableFacts made : consumer.constructors()) {
            made.parameterTypes().forEach(type -> add(type, consumer.name()));
        }
        for (ExecutableFacts method : consumer.methods()) {
            if (isMarked(method.annotations())) {
                method.parameterTypes().forEach(type -> add(type, consumer.name()));
            }
        }
        for (FieldFacts field : consumer.fields()) {
            if (isMarked(field.annotations())) {
                add(field.type(), consumer.name());
            }
        }
    }

    private static boolean isMarked(List<AnnotationFacts> marks) {
        return marks.stream().anyMatch(mark -> mark.type().endsWith(".Inject"));
    }

    private void add(TypeRef type, String consumer) {
        if (type instanceof ArrayType array) {
            add(array.element(), consumer);
        } else if (type instanceof ClassType named) {
            if (code.inCode(named.name()) || OF_JDK.contains(named.name())) {
                askedBy.computeIfAbsent(named.name(), key -> new TreeSet<>()).add(consumer);
            }
            named.arguments().forEach(argument -> add(argument, consumer));
        }
    }

    /** Returns the types that are asked for. */
    Set<String> types() {
        return askedBy.keySet();
    }

    /** Returns those that are the JDK's. */
    Set<String> typesOfJdk() {
        Set<String> found = new TreeSet<>(askedBy.keySet());
        found.removeIf(code::inCode);
        return found;
    }

    /** Returns the classes that ask for a type, sorted. */
    SortedSet<String> askedBy(String type) {
        return askedBy.getOrDefault(type, new TreeSet<>());
    }
}
