package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.profiles.ProfileSet;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever stands in a file: findings with positions, all of them, and never an exception. */
class MalformedFileTest {

    private static final String SOUND =
            """
            patient-harbor: 1
            title: Port
            code: [classes]
            entry: [Desk]
            profiles:
              base:
                partial: true
                bindings:
                  Gauge: Sonar
                  Feed@coast: { fake: Calm, lifetime: fresh }
                  Feed: { same-as: Feed@coast }
                decorators:
                  Gauge: { drop: [Log], outermost: [Cache] }
              test: { extends: [base], bindings: { Gauge: mock } }
            """;

    private static List<String> told(byte[] bytes) {
        return ProfileFiles.parse(bytes, "f.yaml", Path.of("")).findings().stream()
                .map(
                        finding ->
                                finding.at().text()
                                        + ' '
                                        + finding.kind().id()
                                        + ": "
                                        + finding.message())
                .toList();
    }

    private static List<String> told(String text) {
        return told(text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void a_sound_file_is_read_with_every_position() {
        ProfileSet file =
                ProfileFiles.parse(SOUND.getBytes(StandardCharsets.UTF_8), "f", Path.of("x"));
        assertEquals(List.of(), file.findings());
        assertEquals("Port", file.declared().title());
        assertEquals("x/classes", file.code().get(0).path().toString());
        assertEquals(
                List.of("f:9:7", "f:10:7", "f:11:7"),
                file.declared().profiles().get(0).words().bindings().stream()
                        .map(binding -> binding.at().text())
                        .toList());
        assertEquals(
                List.of("base at f:14:21"),
                file.declared().profiles().get(1).parents().stream()
                        .map(parent -> parent.text() + " at " + parent.at().text())
                        .toList());
    }

    static Stream<Arguments> oneFault() {
        return Stream.of(
                Arguments.of("", "f.yaml:1:1 malformed-file: The file is empty."),
                Arguments.of(
                        "# nothing but a remark\n",
                        "f.yaml:1:1 malformed-file: The file is empty."),
                Arguments.of(
                        "- a\n- b\n",
                        "f.yaml:1:1 malformed-file: Here stands a list; it should be a map of"
                                + " keys and values in the profile file."),
                Arguments.of(
                        "patient-harbor: 2\n",
                        "f.yaml:1:17 malformed-file: Version 2 of the notation is not known."),
                Arguments.of(
                        "title: x\n",
                        "f.yaml:1:1 malformed-file: The file does not say which version of the"
                                + " notation it is written in."),
                Arguments.of(
                        "patient-harbor: 1\nentry:\n  class: Desk\n",
                        "f.yaml:3:3 malformed-file: Here stands a map; it should be a class, a"
                                + " pattern, or a list of them."),
                Arguments.of(
                        "patient-harbor: 1\nprofiles:\n  p:\n    partial: perhaps\n",
                        "f.yaml:4:14 malformed-file: Here stands perhaps; it should be true or"
                                + " false after partial."),
                Arguments.of(
                        "patient-harbor: 1\nprofiles:\n  p:\n    bindings:\n      Gauge:\n",
                        "f.yaml:5:13 malformed-file: Here stands nothing; it should be a class,"
                                + " mock, or a map such as { stub: CLASS }."),
                Arguments.of(
                        "patient-harbor: 1\nprofiles:\n  p:\n    bindings:\n      Gau ge: X\n",
                        "f.yaml:5:7 malformed-file: Gau ge is not a slot."),
                Arguments.of(
                        "patient-harbor: 1\n"
                                + "profiles: { p: { bindings: { G: { fake: A, stub: B } } } }\n",
                        "f.yaml:2:30 malformed-file: The binding of G names more than one supply:"
                                + " fake, stub."),
                Arguments.of(
                        "patient-harbor: 1\nprofiles: { p: { bindings: { G: {} } }" + " }\n",
                        "f.yaml:2:30 malformed-file: The binding of G names no supply."),
                Arguments.of(
                        "patient-harbor: 1\npackages: [p]\npackags: [q]\n",
                        "f.yaml:3:1 unknown-word: The key packags is not known in the profile"
                                + " file."),
                Arguments.of(
                        "patient-harbor: 1\nprofiles:\n\tp: {}\n",
                        "f.yaml:3:1 malformed-file: The file is no YAML: found character '\\t(TAB)'"
                                + " that cannot start any token. (Do not use \\t(TAB) for"
                                + " indentation)."),
                Arguments.of(
                        "patient-harbor: 1\nentry: [Desk\nprofiles: {}\n",
                        "f.yaml:3:9 malformed-file: The file is no YAML: expected ',' or ']', but"
                                + " got : (while parsing a flow sequence from line 2)."),
                Arguments.of(
                        "patient-harbor: 1\n--- \npatient-harbor: 1\n",
                        "f.yaml:2:1 malformed-file: The file is no YAML: but found another document"
                                + " (expected a single document in the stream from line 1)."),
                Arguments.of(
                        "patient-harbor: 1\ntitle: a\u0007b\n",
                        "f.yaml:2:9 malformed-file: The character U+0007 may not stand in a YAML"
                                + " file."));
    }

    @ParameterizedTest
    @MethodSource("oneFault")
    void each_fault_is_told_where_it_stands(String text, String finding) {
        assertEquals(List.of(finding), told(text));
    }

    @Test
    void all_faults_of_a_file_are_told_in_one_run_each_with_its_line_and_a_remedy() {
        ProfileSet file =
                ProfileFiles.parse(
                        """
                        patient-harbor: 1
                        titel: Port
                        title: Port
                        profiles:
                          base:
                            partal: true
                            bindings:
                              Gauge: { clas: Sonar }
                              Gauge: mock
                              Feed: { fake: Calm, lifetime: forever }
                            decorators:
                              Gauge: { outmost: [Cache] }
                        """
                                .getBytes(StandardCharsets.UTF_8),
                        "f",
                        Path.of(""));
        assertEquals(
                List.of(
                        "2 unknown-word [titel: Port]",
                        "6 unknown-word [partal: true]",
                        "8 malformed-file [Gauge: { clas: Sonar }]",
                        "8 unknown-word [Gauge: { clas: Sonar }]",
                        "9 repeated-key [Gauge: mock]",
                        "10 malformed-file [Feed: { fake: Calm, lifetime: forever }]",
                        "12 unknown-word [Gauge: { outmost: [Cache] }]"),
                file.findings().stream()
                        .map(
                                finding ->
                                        finding.at()
                                                        .match(
                                                                SourcePosition.InFile::line,
                                                                in -> 0,
                                                                in -> 0)
                                                + " "
                                                + finding.kind().id()
                                                + finding.details().stream()
                                                        .filter(d -> d.label().equals("line"))
                                                        .map(d -> " [" + d.text() + "]")
                                                        .findFirst()
                                                        .orElse(""))
                        .toList());
        for (Finding finding : file.findings()) {
            String last = finding.details().get(finding.details().size() - 1).label();
            assertTrue(List.of("do", "did you mean", "known").contains(last), finding.toString());
        }
    }

    @Test
    void other_encodings_are_told_and_a_byte_order_mark_does_not_matter() {
        assertEquals(
                List.of("f.yaml:2:9 malformed-file: The file is not UTF-8 text."),
                told("patient-harbor: 1\ntitle: Höfn\n".getBytes(StandardCharsets.ISO_8859_1)));
        assertFalse(told(SOUND.getBytes(StandardCharsets.UTF_16)).isEmpty());
        assertFalse(told(SOUND.getBytes(Charset.forName("UTF-32"))).isEmpty());
        assertEquals(List.of(), told("\uFEFF" + SOUND));
        assertEquals(List.of(), told(SOUND.replace("\n", "\r\n")));
    }

    @Test
    void huge_deep_and_self_repeating_files_end_soon_with_a_finding() {
        StringBuilder bomb = new StringBuilder("patient-harbor: 1\na0: &a0 [x, x]\n");
        for (int i = 1; i < 60; i++) {
            String before = "*a" + (i - 1);
            bomb.append("a%d: &a%d [%s, %s, %s]\n".formatted(i, i, before, before, before));
        }
        List<String> texts =
                List.of(
                        bomb.toString(),
                        "patient-harbor: 1\ntitle: " + "x".repeat(9 << 20),
                        "patient-harbor: 1\ntitle: " + "[".repeat(100_000),
                        "patient-harbor: 1\nentry: &e [*e]\n",
                        "patient-harbor: 1\nprofiles: &p { a: *p }\n",
                        "patient-harbor: 1\nprofiles: { p: { bindings: { G: { class: A, with: &w"
                                + " { a: *w } } } } }\n",
                        bomb + "profiles: { p: { bindings: { G: { value: *a59 } } } }\n");
        for (String text : texts) {
            assertTimeoutPreemptively(
                    Duration.ofSeconds(30), () -> assertFalse(told(text).isEmpty()));
        }
    }

    @Test
    void no_random_damage_to_a_sound_file_ever_ends_in_an_exception() {
        byte[] sound = SOUND.getBytes(StandardCharsets.UTF_8);
        long seed = 7;
        Random random = new Random(seed);
        int told = 0;
        for (int i = 0; i < 3000; i++) {
            byte[] bytes = Arrays.copyOf(sound, 1 + random.nextInt(sound.length));
            for (int flips = random.nextInt(4); flips > 0; flips--) {
                bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
            }
            List<String> findings = told(bytes);
            told += findings.isEmpty() ? 0 : 1;
            findings.forEach(finding -> assertTrue(finding.startsWith("f.yaml:"), finding));
        }
        assertTrue(told > 1000, "seed " + seed + ": only " + told);
    }
}
