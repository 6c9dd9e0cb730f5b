package dev.patientharbor.junit;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestTemplateInvocationContext;
import org.junit.jupiter.api.extension.TestTemplateInvocationContextProvider;
import org.junit.platform.commons.support.AnnotationSupport;

/** Runs a test once under each profile. */
final class EachProfileExtension implements TestTemplateInvocationContextProvider {

    @Override
    public boolean supportsTestTemplate(ExtensionContext context) {
        return AnnotationSupport.isAnnotated(context.getTestMethod(), EachProfile.class);
    }

    @Override
    public Stream<TestTemplateInvocationContext> provideTestTemplateInvocationContexts(
            ExtensionContext context) {
        EachProfile mark =
                AnnotationSupport.findAnnotation(context.getTestMethod(), EachProfile.class)
                        .orElseThrow();
        return ProfileSetCache.named(ProfileSetCache.of(context), List.of(mark.value())).stream()
                .map(name -> new EachRun("under " + name, TestRun.under(name)));
    }
}
