package dev.patientharbor.junit;

import dev.patientharbor.profiles.ProfileSet;
import java.lang.reflect.Method;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestTemplateInvocationContext;
import org.junit.jupiter.api.extension.TestTemplateInvocationContextProvider;
import org.junit.platform.commons.support.AnnotationSupport;

/** Runs a test once for each implementation of a contract that some profile uses. */
final class EachImplementationExtension implements TestTemplateInvocationContextProvider {

    @Override
    public boolean supportsTestTemplate(ExtensionContext context) {
        return AnnotationSupport.isAnnotated(context.getTestMethod(), EachImplementation.class);
    }

    @Override
    public Stream<TestTemplateInvocationContext> provideTestTemplateInvocationContexts(
            ExtensionContext context) {
        EachImplementation mark =
                AnnotationSupport.findAnnotation(context.getTestMethod(), EachImplementation.class)
                        .orElseThrow();
        requireParameter(context.getRequiredTestMethod(), mark.value());
        ProfileSet set = ProfileSetCache.of(context);
        Map<String, ImplementationsInUse.ImplementationInUse> used =
                ImplementationsInUse.of(set, ProfileSetCache.named(set, List.of(mark.profiles())))
                        .getOrDefault(mark.value().getName(), Map.of());
        if (used.isEmpty()) {
            throw new IllegalStateException(
                    "no profile uses an implementation of " + mark.value().getName());
        }
        List<String> missed = missed(set, mark.value());
        if (!missed.isEmpty()) {
            context.publishReportEntry(
                    "not reached",
                    String.join(", ", missed)
                            + ": no profile uses what implements "
                            + mark.value().getSimpleName());
        }
        return used.values().stream().map(use -> run(mark.value(), use));
    }

    /** Without one the test would run again and again, and see none of them. */
    private static void requireParameter(Method test, Class<?> contract) {
        if (Arrays.stream(test.getParameterTypes()).noneMatch(type -> type == contract)) {
            throw new IllegalStateException(
                    test.getName()
                            + " is to run for each implementation of "
                            + contract.getSimpleName()
                            + " and has no parameter of that type: add one, it is given each in"
                            + " turn");
        }
    }

    private static TestTemplateInvocationContext run(
            Class<?> contract, ImplementationsInUse.ImplementationInUse use) {
        TestRun.Implementation implementation =
                new TestRun.Implementation(
                        contract, use.name(), use.answer().fills().orElseThrow());
        return new EachRun(use.words(), new TestRun(use.profile(), Optional.of(implementation)));
    }

    private static List<String> missed(ProfileSet set, Class<?> contract) {
        return set.check().coverage().unused().stream()
                .filter(name -> implementsIt(name, contract))
                .toList();
    }

    private static boolean implementsIt(String name, Class<?> contract) {
        try {
            return contract.isAssignableFrom(Class.forName(name, false, contract.getClassLoader()));
        } catch (ClassNotFoundException | LinkageError notHere) {
            return false;
        }
    }
}
