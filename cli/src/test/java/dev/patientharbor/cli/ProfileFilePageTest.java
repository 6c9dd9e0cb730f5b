package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.notation.ProfileFiles;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** docs/profile-file.md shows only what is understood, and all of it. */
class ProfileFilePageTest {

    private static final Pattern EXAMPLE = Pattern.compile("(?s)```yaml\n(.*?)```");

    @Test
    void every_example_is_read_without_a_fault_and_every_known_key_has_one() throws IOException {
        String page = Files.readString(Path.of("../docs/profile-file.md"));
        List<String> examples = new ArrayList<>();
        Matcher example = EXAMPLE.matcher(page);
        while (example.find()) {
            examples.add(example.group(1));
        }
        assertTrue(examples.size() >= 5, "examples: " + examples.size());
        for (String text : examples) {
            String whole = text.startsWith("patient-harbor") ? text : "patient-harbor: 1\n" + text;
            assertEquals(List.of(), faults(whole), text);
        }
        for (String place :
                List.of(
                        "x: 1",
                        "areas: { a: { x: 1 } }",
                        "marks: { x: 1 }",
                        "profiles: { p: { x: 1 } }",
                        "profiles: { p: { rules: { x: 1 } } }",
                        "profiles: { p: { within: { a: { x: 1 } } } }",
                        "profiles: { p: { bindings: { G: { stub: A, x: 1 } } } }",
                        "profiles: { p: { bindings: { G: { stub: { m: { answer: 1, x: 1 } } } } }"
                                + " }",
                        "consumers: { A#b: { x: 1 } }",
                        "consumers: { a: { needs: {}, x: 1 } }",
                        "profiles: { p: { decorators: { G: { x: [] } } } }")) {
            String known = known("patient-harbor: 1\n" + place + "\n");
            for (String key : known.split(", ")) {
                boolean shown = examples.stream().anyMatch(other -> other.contains(key + ":"));
                assertTrue(shown, "no example shows " + key + ", known where " + place);
            }
        }
    }

    private static List<String> faults(String text) {
        return findings(text).stream()
                .map(Finding::message)
                .filter(message -> !message.contains("port.properties"))
                .toList();
    }

    /** The keys that are known in the place where an unknown one is told. */
    private static String known(String text) {
        return findings(text).stream()
                .filter(finding -> finding.kind().id().equals("unknown-word"))
                .flatMap(finding -> finding.details().stream())
                .filter(detail -> detail.label().equals("known"))
                .map(detail -> detail.text())
                .findFirst()
                .orElseThrow(() -> new AssertionError("nothing unknown in " + text));
    }

    private static List<Finding> findings(String text) {
        return ProfileFiles.parse(text.getBytes(StandardCharsets.UTF_8), "f", Path.of("nowhere"))
                .findings();
    }
}
