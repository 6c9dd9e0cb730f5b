package dev.patientharbor.junit;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingText;
import dev.patientharbor.finding.Severity;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.TestReporter;

/**
 * The ready-made test that every profile is complete: a class that is marked with {@link Harbor}
 * and implements this has it. No class of the application is loaded for it.
 */
public interface CompleteProfiles {

    /**
     * Whether warnings and notes are published as well, as entries of JUnit's report; by default if
     * the system property {@code patientharbor.warnings} is {@code true}.
     */
    default boolean publishesWarnings() {
        return Boolean.getBoolean("patientharbor.warnings");
    }

    /**
     * One test for each profile that is not partial, by its name; each fails with all that is
     * wrong.
     */
    @TestFactory
    default Stream<DynamicTest> every_profile_is_complete(TestReporter reporter) {
        Verdict verdict = ProfileFileFinder.profiles(getClass()).check();
        List<String> names =
                verdict.profiles().stream()
                        .filter(each -> !each.isPartial())
                        .map(each -> each.name())
                        .toList();
        if (names.isEmpty()) {
            verdict.requireComplete();
        }
        if (publishesWarnings()) {
            Set<String> told = new HashSet<>();
            for (Finding finding : verdict.allFindings()) {
                if (finding.severity() != Severity.ERROR && told.add(finding.identity())) {
                    reporter.publishEntry(
                            finding.severity().word(), FindingText.of(finding).strip());
                }
            }
        }
        return names.stream()
                .map(name -> DynamicTest.dynamicTest(name, () -> verdict.requireComplete(name)));
    }
}
