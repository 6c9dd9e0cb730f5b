package dev.patientharbor.resolve;

import dev.patientharbor.code.AnnotationFacts;
import java.util.List;
import java.util.Set;

/**
 * The annotations of the open standard (Jakarta Dependency Injection 2.0), under both of its
 * package names.
 */
final class StandardMarks {

    private static final Set<String> INJECT = both("Inject");
    private static final Set<String> NAMED = both("Named");
    private static final Set<String> QUALIFIER = both("Qualifier");
    private static final Set<String> SINGLETON = both("Singleton");
    private static final Set<String> SCOPE = both("Scope");

    private StandardMarks() {}

    private static Set<String> both(String simpleName) {
        return Set.of("jakarta.inject." + simpleName, "javax.inject." + simpleName);
    }

    static boolean isInject(List<AnnotationFacts> marks) {
        return hasOneOf(INJECT, marks);
    }

    static boolean isNamed(AnnotationFacts mark) {
        return NAMED.contains(mark.type());
    }

    static boolean isQualifier(List<AnnotationFacts> marksOfTheAnnotation) {
        return hasOneOf(QUALIFIER, marksOfTheAnnotation);
    }

    static boolean isScope(List<AnnotationFacts> marksOfTheAnnotation) {
        return hasOneOf(SCOPE, marksOfTheAnnotation);
    }

    static boolean isSingleton(List<AnnotationFacts> marks) {
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
