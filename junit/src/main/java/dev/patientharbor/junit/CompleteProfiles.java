package dev.patientharbor.junit;

import dev.patientharbor.check.Verdict;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/**
 * The ready-made test that every profile is complete: a class that is marked with {@link Harbor}
 * and implements this has it. No class of the application is loaded for it.
 */
public interface CompleteProfiles {

    /** One test for each profile that is not partial; each fails with all that is wrong. */
    @TestFactory
    default Stream<DynamicTest> every_profile_is_complete() {
        Verdict verdict = Places.profiles(getClass()).check();
        List<String> names =
                verdict.profiles().stream()
                        .filter(one -> !one.isPartial())
                        .map(one -> one.name())
                        .toList();
        if (names.isEmpty()) {
            verdict.requireComplete();
        }
        return names.stream()
                .map(name -> DynamicTest.dynamicTest(name, () -> verdict.requireComplete(name)));
    }
}
