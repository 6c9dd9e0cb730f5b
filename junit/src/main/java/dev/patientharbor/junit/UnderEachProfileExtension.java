package dev.patientharbor.junit;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ClassTemplateInvocationContext;
import org.junit.jupiter.api.extension.ClassTemplateInvocationContextProvider;
import org.junit.jupiter.api.extension.Extension;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.platform.commons.support.AnnotationSupport;

/** Runs the tests of a class under each profile. */
final class UnderEachProfileExtension implements ClassTemplateInvocationContextProvider {

    /** One run of the class. */
    private record OfClass(String profile) implements ClassTemplateInvocationContext {
        @Override
        public String getDisplayName(int invocation) {
            return "under " + profile;
        }

        @Override
        public List<Extension> getAdditionalExtensions() {
            return List.of(new RigExtension(TestRun.under(profile)));
        }
    }

    @Override
    public boolean supportsClassTemplate(ExtensionContext context) {
        return AnnotationSupport.isAnnotated(context.getTestClass(), UnderEachProfile.class);
    }

    @Override
    public Stream<OfClass> provideClassTemplateInvocationContexts(ExtensionContext context) {
        UnderEachProfile mark =
                AnnotationSupport.findAnnotation(context.getTestClass(), UnderEachProfile.class)
                        .orElseThrow();
        return ProfileSetCache.named(ProfileSetCache.of(context), List.of(mark.value())).stream()
                .map(OfClass::new);
    }
}
