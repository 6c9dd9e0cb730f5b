package dev.patientharbor.junit;

import java.lang.reflect.AnnotatedElement;
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
record Said(String profile, boolean oneRig, ExtensionContext where) {

    private static final String PROPERTY = "patientharbor.profile";
    private static final String VARIABLE = "PATIENT_HARBOR_PROFILE";

    /** What the nearest mark says, of the method, its class or a class around it. */
    static Said at(ExtensionContext context) {
        for (Optional<ExtensionContext> at = Optional.of(context);
                at.isPresent();
                at = at.get().getParent()) {
            Optional<AnnotatedElement> element = at.get().getElement();
            Optional<UnderProfile> mark =
                    element.flatMap(
                            one -> AnnotationSupport.findAnnotation(one, UnderProfile.class));
            if (mark.isPresent()) {
                return new Said(
                        outside().orElse(mark.get().value()), mark.get().oneRig(), at.get());
            }
        }
        throw new IllegalStateException(
                "say by @UnderProfile(\"PROFILE\") under which profile "
                        + context.getDisplayName()
                        + " runs");
    }

    /** The profile that is set from outside, if one is. */
    private static Optional<String> outside() {
        return Optional.ofNullable(System.getProperty(PROPERTY))
                .or(() -> Optional.ofNullable(System.getenv(VARIABLE)))
                .filter(name -> !name.isBlank());
    }

    /** Whether a test runs several times, each with a rig of its own. */
    static boolean hasRunsOfItsOwn(ExtensionContext context) {
        return AnnotationSupport.isAnnotated(context.getTestMethod(), EachProfile.class)
                || AnnotationSupport.isAnnotated(context.getTestMethod(), EachImplementation.class);
    }
}
