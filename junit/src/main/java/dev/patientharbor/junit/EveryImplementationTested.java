package dev.patientharbor.junit;

import dev.patientharbor.profiles.ProfileSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/**
 * The ready-made test that whatever stands in for something is tested like it: each contract of
 * which profiles use several implementations has a test that is marked with {@link
 * EachImplementation} and reaches them all. A class that is marked with {@link Harbor} and
 * implements this has it. Tests are looked for in the folder or jar of that class, among those that
 * are about the same profiles; their classes are loaded, and none is run.
 */
public interface EveryImplementationTested {

    /** Returns the contracts that need no such test; none unless this is overridden. */
    default Set<Class<?>> leftOut() {
        return Set.of();
    }

    /** One test for each contract; each fails with the implementations that no test reaches. */
    @TestFactory
    default Stream<DynamicTest> every_implementation_is_tested() {
        ProfileSet set = ProfileFileFinder.profiles(getClass());
        Map<String, Map<String, ImplementationsInUse.ImplementationInUse>> used =
                ImplementationsInUse.of(set, ProfileSetCache.named(set, List.of()));
        used.values().removeIf(implementations -> implementations.size() < 2);
        leftOut().forEach(contract -> used.remove(contract.getName()));
        Map<String, Set<String>> reached = ReachedImplementations.byTestsBeside(getClass(), set);
        return used.entrySet().stream()
                .map(
                        entry -> {
                            Set<String> tested = reached.getOrDefault(entry.getKey(), Set.of());
                            return DynamicTest.dynamicTest(
                                    entry.getKey(),
                                    () -> requireAll(entry.getKey(), entry.getValue(), tested));
                        });
    }

    private static void requireAll(
            String contract,
            Map<String, ImplementationsInUse.ImplementationInUse> used,
            Set<String> tested) {
        List<String> missing =
                used.values().stream()
                        .filter(use -> !tested.contains(use.name()))
                        .map(ImplementationsInUse.ImplementationInUse::words)
                        .toList();
        if (!missing.isEmpty()) {
            String shortName = contract.substring(contract.lastIndexOf('.') + 1);
            Assertions.fail(
                    "no test reaches these implementations of "
                            + contract
                            + ":\n  "
                            + String.join("\n  ", missing)
                            + "\nMark a test of that contract with @EachImplementation("
                            + shortName
                            + ".class), or name it in leftOut().");
        }
    }
}
