package dev.patientharbor.needs;

import dev.patientharbor.code.AnnotationFacts;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.model.HouseMarks;
import dev.patientharbor.model.HouseMarks.ScopeMark;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.ShortName;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The annotations of the open standard (Jakarta Dependency Injection 2.0), under both of its
 * package names, and those of the house.
 */
public final class KnownMarks {

    private static final Set<String> INJECT = both("Inject");
    private static final Set<String> NAMED = both("Named");
    private static final Set<String> QUALIFIER = both("Qualifier");
    private static final Set<String> SINGLETON = both("Singleton");
    private static final Set<String> SCOPE = both("Scope");

    private final Set<String> inject;
    private final Set<String> key;
    private final Set<String> absent;
    private final Map<String, Lifetime> scopes = new HashMap<>();

    /** The standard's, and those of a house whose names are known. */
    public KnownMarks(HouseMarks house, ClassNames names) {
        inject = with(INJECT, house.inject(), names);
        key = with(NAMED, house.key(), names);
        absent = with(Set.of(), house.absent(), names);
        for (ScopeMark scope : house.scopes()) {
            scopes.put(fullName(scope.mark(), names), scope.lifetime());
        }
    }

    private static Set<String> with(
            Set<String> standard, List<WrittenName> house, ClassNames names) {
        Set<String> all = new HashSet<>(standard);
        for (WrittenName name : house) {
            all.add(fullName(name, names));
        }
        return all;
    }

    private static String fullName(WrittenName name, ClassNames names) {
        return names.lookup(name).facts().map(ClassFacts::name).orElse(name.text());
    }

    private static Set<String> both(String simpleName) {
        return Set.of("jakarta.inject." + simpleName, "javax.inject." + simpleName);
    }

    /** The lifetime for which a mark stands, if the house says so. */
    public Optional<Lifetime> scope(AnnotationFacts mark) {
        return Optional.ofNullable(scopes.get(mark.type()));
    }

    public boolean isInject(List<AnnotationFacts> marks) {
        return hasOneOf(inject, marks);
    }

    boolean isNamed(AnnotationFacts mark) {
        return key.contains(mark.type());
    }

    static boolean isNamedByStandard(AnnotationFacts mark) {
        return NAMED.contains(mark.type());
    }

    boolean mayBeAbsent(List<AnnotationFacts> marks) {
        return hasOneOf(absent, marks);
    }

    static boolean isQualifier(List<AnnotationFacts> marksOfTheAnnotation) {
        return hasOneOf(QUALIFIER, marksOfTheAnnotation);
    }

    public static boolean isScope(List<AnnotationFacts> marksOfTheAnnotation) {
        return hasOneOf(SCOPE, marksOfTheAnnotation);
    }

    /**
     * Whether an annotation carries one that is no mark of the standard, and is called a scope:
     * {@code Scope}, or a name that ends so.
     */
    public static boolean isCalledScope(List<AnnotationFacts> marksOfTheAnnotation) {
        return marksOfTheAnnotation.stream()
                .map(mark -> ShortName.of(mark.type()))
                .anyMatch(name -> name.endsWith("Scope"));
    }

    public static boolean isSingleton(List<AnnotationFacts> marks) {
        return hasOneOf(SINGLETON, marks);
    }

    private static boolean hasOneOf(Set<String> types, List<AnnotationFacts> marks) {
        for (AnnotationFacts mark : marks) {
            if (types.contains(mark.type())) {
                return true;
            }
        }
        return false;
    }
}
