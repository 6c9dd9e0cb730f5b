package dev.patientharbor.junit;

import dev.patientharbor.profiles.ProfileSet;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.net.URI;
import java.net.URISyntaxException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.platform.commons.support.AnnotationSupport;
import org.junit.platform.commons.support.HierarchyTraversalMode;
import org.junit.platform.commons.support.ReflectionSupport;

/** Which implementations the tests of one folder reach that run for each of them. */
final class ReachedImplementations {

    private ReachedImplementations() {}

    /**
     * By the binary name of each contract, the names of its implementations.
     *
     * @param beside a class of that folder
     * @param set the profiles that it is about
     */
    static Map<String, Set<String>> byTestsBeside(Class<?> beside, ProfileSet set) {
        Map<List<String>, Map<String, Map<String, ImplementationsInUse.ImplementationInUse>>> used =
                new HashMap<>();
        Map<String, Set<String>> reached = new HashMap<>();
        for (EachImplementation mark : marks(beside)) {
            String contract = mark.value().getName();
            reached.computeIfAbsent(contract, key -> new HashSet<>())
                    .addAll(
                            used.computeIfAbsent(
                                            ProfileSetCache.named(set, List.of(mark.profiles())),
                                            profiles -> ImplementationsInUse.of(set, profiles))
                                    .getOrDefault(contract, Map.of())
                                    .keySet());
        }
        return reached;
    }

    private static List<EachImplementation> marks(Class<?> beside) {
        Optional<Harbor> about = ProfileFileFinder.harbor(beside);
        List<EachImplementation> marks = new ArrayList<>();
        for (Class<?> type :
                ReflectionSupport.findAllClassesInClasspathRoot(
                        folder(beside), type -> isTestAbout(type, about), name -> true)) {
            for (Method test :
                    AnnotationSupport.findAnnotatedMethods(
                            type, EachImplementation.class, HierarchyTraversalMode.TOP_DOWN)) {
                AnnotationSupport.findAnnotation(test, EachImplementation.class)
                        .ifPresent(marks::add);
            }
        }
        return marks;
    }

    private static boolean isTestAbout(Class<?> type, Optional<Harbor> about) {
        return !Modifier.isAbstract(type.getModifiers())
                && ProfileFileFinder.harbor(type).equals(about);
    }

    private static URI folder(Class<?> type) {
        try {
            return type.getProtectionDomain().getCodeSource().getLocation().toURI();
        } catch (URISyntaxException unusable) {
            throw new IllegalStateException(unusable);
        }
    }
}
