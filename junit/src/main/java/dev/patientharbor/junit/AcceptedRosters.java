package dev.patientharbor.junit;

import dev.patientharbor.accepting.AcceptedRoster;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.FindingText;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/**
 * The ready-made test that everybody receives what was accepted: a class that is marked with {@link
 * Harbor} and implements this has it. Run it once with the system property {@code
 * patientharbor.accept} set to {@code true}: it writes the file, for review and version control.
 * After that it fails where somebody receives something else. No class of the application is loaded
 * for it.
 */
public interface AcceptedRosters {

    /** The file, seen from the working directory of the tests. */
    default Path acceptedRoster() {
        return Path.of("src", "test", "resources", "accepted-roster.txt");
    }

    /** Whether the file is written anew, rather than compared. */
    default boolean acceptsWhatIsReceived() {
        return Boolean.getBoolean("patientharbor.accept");
    }

    /** One test for each profile that is not partial; each fails with all that has changed. */
    @TestFactory
    default Stream<DynamicTest> everybody_receives_what_was_accepted() {
        Verdict verdict = ProfileFileFinder.profiles(getClass()).check();
        Path file = acceptedRoster();
        if (acceptsWhatIsReceived()) {
            return Stream.of(DynamicTest.dynamicTest("accepted", () -> write(verdict, file)));
        }
        Verdict against = verdict.against(read(file), LocalDate.now());
        Map<String, List<Finding>> changes = new LinkedHashMap<>();
        against.profiles().stream()
                .filter(profile -> !profile.isPartial())
                .forEach(profile -> changes.put(profile.name(), changed(profile.findings())));
        List<Finding> ofSet = changed(against.findings());
        if (!ofSet.isEmpty()) {
            changes.put("the set as a whole", ofSet);
        }
        return changes.entrySet().stream()
                .map(
                        each ->
                                DynamicTest.dynamicTest(
                                        each.getKey(), () -> requireNone(each.getValue())));
    }

    private static List<Finding> changed(List<Finding> findings) {
        return findings.stream()
                .filter(finding -> finding.kind().equals(FindingKinds.ROSTER_CHANGED))
                .toList();
    }

    private static void write(Verdict verdict, Path file) throws IOException {
        Path folder = file.toAbsolutePath().getParent();
        Files.createDirectories(folder);
        Files.writeString(file, verdict.accepted());
    }

    private static AcceptedRoster read(Path file) {
        if (!Files.exists(file)) {
            throw new AssertionError(
                    "there is no "
                            + file
                            + "; run this test once with -Dpatientharbor.accept=true, which writes"
                            + " it");
        }
        try {
            return AcceptedRoster.parse(
                    Files.readString(file, StandardCharsets.UTF_8),
                    file.toString().replace('\\', '/'));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static void requireNone(List<Finding> changes) {
        if (!changes.isEmpty()) {
            throw new AssertionError(
                    FindingText.of(changes)
                            + "\nif that is meant, run this test with -Dpatientharbor.accept=true");
        }
    }
}
