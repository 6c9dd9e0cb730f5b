package dev.patientharbor.junit;

import dev.patientharbor.plan.Roster;
import dev.patientharbor.rig.Rig;
import java.lang.annotation.Annotation;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.Parameter;
import java.util.Arrays;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * Which parameters are ours to resolve: those with a mark of ours, the rig and its roster, and what
 * the plan knows. A parameter with a mark of somebody else is that one's, and the unmarked ones of
 * a parameterized test are its arguments.
 */
final class ClaimedParameters {

    private static final String PARAMETERIZED = "org.junit.jupiter.params.";

    private ClaimedParameters() {}

    /** Whether a parameter says itself that it is ours. */
    static boolean isMarked(Parameter parameter) {
        return parameter.isAnnotationPresent(FromRig.class)
                || parameter.isAnnotationPresent(SwappedIn.class)
                || parameter.getType() == Rig.class
                || parameter.getType() == Roster.class;
    }

    /** Whether it is ours if the plan knows its type. */
    static boolean mayBeMeant(Parameter parameter, ExtensionContext context) {
        boolean onlyMarked =
                ProfileFileFinder.harbor(context.getRequiredTestClass())
                        .filter(Harbor::onlyMarked)
                        .isPresent();
        return parameter.getAnnotations().length == 0
                && !onlyMarked
                && !isParameterized(parameter.getDeclaringExecutable());
    }

    /** Whether it is given arguments, by a mark of JUnit's that we need not know. */
    private static boolean isParameterized(AnnotatedElement test) {
        return hasMarkOf(test, new HashSet<>());
    }

    private static boolean hasMarkOf(AnnotatedElement element, Set<Class<?>> seen) {
        return Arrays.stream(element.getAnnotations())
                .map(Annotation::annotationType)
                .filter(seen::add)
                .anyMatch(
                        type ->
                                type.getName().startsWith(PARAMETERIZED)
                                        || !type.getName().startsWith("java.")
                                                && hasMarkOf(type, seen));
    }

    /** The key that a parameter names. */
    static Optional<String> key(Parameter parameter) {
        return Optional.ofNullable(parameter.getAnnotation(FromRig.class))
                .flatMap(mark -> MarkedFields.key(mark.value()));
    }
}
