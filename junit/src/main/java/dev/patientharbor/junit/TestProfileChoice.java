package dev.patientharbor.junit;

import java.lang.reflect.AnnotatedElement;
import java.util.Arrays;
import java.util.Optional;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.platform.commons.support.AnnotationSupport;

/**
 * What a test says of the profile under which it runs.
 *
 * @param profile the name of the profile; what is set from outside wins
 * @param oneRig whether all tests share a rig
 * @param where where it is said
 */
record TestProfileChoice(String profile, boolean oneRig, ExtensionContext where) {

    private static final String EACH = "dev.patientharbor.junit.UnderEachProfile";
    private static final String PROPERTY = "patientharbor.profile";
    private static final String VARIABLE = "PATIENT_HARBOR_PROFILE";

    /** What the nearest mark says, of the method, its class or a class around it. */
    static Optional<TestProfileChoice> at(ExtensionContext context) {
        for (Optional<ExtensionContext> at = Optional.of(context);
                at.isPresent();
                at = at.get().getParent()) {
            Optional<AnnotatedElement> element = at.get().getElement();
            Optional<UnderProfile> mark =
                    element.flatMap(
                            place -> AnnotationSupport.findAnnotation(place, UnderProfile.class));
            if (mark.isPresent()) {
                return Optional.of(
                        new TestProfileChoice(
                                outside().orElse(mark.get().value()),
                                mark.get().oneRig(),
                                at.get()));
            }
        }
        return Optional.empty();
    }

    /** What to do where no profile is named. */
    static String advice(ExtensionContext context) {
        return "say by @UnderProfile(\"PROFILE\") under which profile "
                + context.getDisplayName()
                + " runs";
    }

    /** The profile that is set from outside, if one is. */
    private static Optional<String> outside() {
        return Optional.ofNullable(System.getProperty(PROPERTY))
                .or(() -> Optional.ofNullable(System.getenv(VARIABLE)))
                .filter(name -> !name.isBlank());
    }

    /** By its name: an older JUnit could not load the annotation itself. */
    private static boolean isOfClassWithRuns(ExtensionContext context) {
        for (Class<?> at = context.getRequiredTestClass();
                at != null;
                at = at.getEnclosingClass()) {
            for (Class<?> type = at; type != null; type = type.getSuperclass()) {
                if (Arrays.stream(type.getAnnotations())
                        .anyMatch(mark -> mark.annotationType().getName().equals(EACH))) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Whether a test runs several times, each with a rig of its own. */
    static boolean hasRunsOfItsOwn(ExtensionContext context) {
        return AnnotationSupport.isAnnotated(context.getTestMethod(), EachProfile.class)
                || AnnotationSupport.isAnnotated(context.getTestMethod(), EachImplementation.class)
                || isOfClassWithRuns(context);
    }
}
