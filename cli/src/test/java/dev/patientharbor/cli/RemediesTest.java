package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingDetail;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.profiles.ProfileSet;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the tool tells one to do helps: lines to write are put into the file as they are. */
class RemediesTest {

    private static final Path EXAMPLES = Path.of("../examples");
    private static final Pattern BINDING = Pattern.compile("      [A-Z][^:]*: .*");
    private static final Pattern WRITE = Pattern.compile("(?s)(.*?)     under (\\S+) › bindings.*");

    private static String port() throws IOException {
        return Files.readString(EXAMPLES.resolve("port.harbor.yaml"));
    }

    private static Verdict check(String text) {
        ProfileSet set =
                ProfileFiles.parse(
                        text.getBytes(StandardCharsets.UTF_8), "port.harbor.yaml", EXAMPLES);
        return set.check(LocalDate.of(2026, 11, 25));
    }

    /** Every line of the port's file that binds something by itself. */
    static Stream<String> bindings() throws IOException {
        return port().lines().filter(line -> BINDING.matcher(line).matches()).distinct();
    }

    private static List<Finding> unmet(Verdict verdict) {
        return verdict.allFindings().stream()
                .filter(finding -> finding.kind().id().equals("unmet-need"))
                .toList();
    }

    private static String written(Finding finding) {
        return finding.details().stream()
                .filter(detail -> detail.label().equals("write"))
                .map(FindingDetail::text)
                .findFirst()
                .orElseThrow();
    }

    /** Puts the line to write of a finding where the finding says. */
    private static String mended(String text, Finding finding) {
        Matcher write = WRITE.matcher(written(finding));
        assertTrue(write.matches(), written(finding));
        String profile = "\n  " + write.group(2) + ":";
        int start = text.indexOf(profile);
        assertTrue(start > 0, profile);
        int bindings = text.indexOf("\n    bindings:\n", start);
        int end = text.indexOf('\n', bindings + 1);
        return text.substring(0, end + 1) + "      " + write.group(1) + text.substring(end);
    }

    @ParameterizedTest
    @MethodSource("bindings")
    void a_binding_that_was_taken_away_comes_back_by_the_line_to_write(String line)
            throws IOException {
        String without = port().replace(line + "\n", "\n");
        List<Finding> unmet = unmet(check(without));
        String text = without;
        List<String> done = new ArrayList<>();
        for (Finding finding : unmet) {
            if (!done.contains(written(finding))) {
                done.add(written(finding));
                text = mended(text, finding);
            }
        }
        List<Finding> after = unmet(check(text));
        List<String> causes = unmet.stream().map(Finding::cause).toList();
        assertTrue(
                after.stream().noneMatch(finding -> causes.contains(finding.cause())),
                () -> "written " + done + ", left " + after);
        assertFalse(
                check(text).allFindings().stream()
                        .anyMatch(finding -> finding.kind().id().equals("malformed-file")));
    }

    @Test
    void the_lines_lead_from_an_empty_profile_to_one_whose_needs_are_all_met() throws IOException {
        String text =
                """
                patient-harbor: 1
                code: [target/classes]
                settings: [port.properties]
                entry: [gullwing.quay.*, gullwing.crane.*]
                profiles:
                  new:
                    bindings:
                """;
        for (int round = 0; round < 5 && !unmet(check(text)).isEmpty(); round++) {
            for (Finding finding : unmet(check(text))) {
                if (!text.contains(written(finding).split("     under")[0])) {
                    text = mended(text, finding);
                }
            }
        }
        assertEquals(List.of(), unmet(check(text)), text);
    }

    @ParameterizedTest
    @ValueSource(strings = {"port", "sides", "broken"})
    void profiles_that_name_the_same_code_each_for_itself_are_told_the_same(String name)
            throws IOException {
        String text = Files.readString(EXAMPLES.resolve(name + ".harbor.yaml"));
        String all = text.replaceAll("(?m)^    code: .*\n", "");
        String together =
                all.replaceFirst("(?s)\ncode:.*?\npackages", "\ncode: [target/classes]\npackages");
        String apart =
                all.replaceFirst("(?s)\ncode:.*?\npackages", "\npackages")
                        .replaceAll(
                                "(?m)^  ([a-z-]+):(\\s+#.*)?$",
                                "  $1:\n    code: [target/classes]");
        Verdict one = check(together);
        Verdict other = check(apart);
        for (ProfileVerdict profile : one.profiles()) {
            if (!profile.isPartial()) {
                assertEquals(
                        one.roster(profile.name()).fingerprint(),
                        other.roster(profile.name()).fingerprint(),
                        profile.name());
                assertEquals(
                        profile.complete().orElseThrow(), other.complete(profile.name()), apart);
            }
        }
        assertEquals(messages(one), messages(other));
    }

    private static List<String> messages(Verdict verdict) {
        return verdict.allFindings().stream()
                .filter(finding -> !finding.kind().id().equals("code-missing"))
                .map(
                        finding ->
                                finding.kind().id()
                                        + ' '
                                        + finding.message().replaceAll(":\\d+:\\d+", ""))
                .sorted()
                .toList();
    }
}
