package dev.patientharbor.junit;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.Row;
import dev.patientharbor.profiles.ProfileSet;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestTemplateInvocationContext;
import org.junit.jupiter.api.extension.TestTemplateInvocationContextProvider;
import org.junit.platform.commons.support.AnnotationSupport;

/** Runs a test once for each implementation of a contract that some profile uses. */
final class EachImplementationExtension implements TestTemplateInvocationContextProvider {

    private static final Set<AnswerKind> KINDS =
            Set.of(AnswerKind.REAL, AnswerKind.FAKE, AnswerKind.STUB, AnswerKind.FACTORY);

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
        ProfileSet set = Sets.of(context);
        Map<String, TestTemplateInvocationContext> runs = new LinkedHashMap<>();
        for (String profile : Sets.named(context, List.of(mark.profiles()))) {
            for (Row row : set.roster(profile).rows()) {
                if (className(row).equals(mark.value().getName())) {
                    answers(row.answer()).forEach(one -> add(mark, profile, one, runs));
                }
            }
        }
        if (runs.isEmpty()) {
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
        return runs.values().stream();
    }

    private static String className(Row row) {
        String text = row.slot().contract().text();
        return text.contains("<") ? text.substring(0, text.indexOf('<')) : text;
    }

    private static List<Answer> answers(Answer answer) {
        List<Answer> all = new ArrayList<>();
        if (answer.kind() == AnswerKind.COLLECTION) {
            answer.elements().forEach(one -> all.addAll(answers(one.answer())));
        } else if (KINDS.contains(answer.kind()) && answer.implementation().isPresent()) {
            all.add(answer);
        }
        return all;
    }

    private static void add(
            EachImplementation mark,
            String profile,
            Answer answer,
            Map<String, TestTemplateInvocationContext> runs) {
        String name = answer.implementation().orElseThrow();
        Run.Implementation one =
                new Run.Implementation(mark.value(), name, answer.fills().orElseThrow());
        String shortName = name.substring(name.lastIndexOf('.') + 1);
        runs.putIfAbsent(
                name,
                new EachRun(
                        answer.kind().word() + " " + shortName + ", as in " + profile,
                        new Run(profile, Optional.of(one))));
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
