package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.RuleFaultTest;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.report.TextLayout;
import dev.patientharbor.testing.JavaCode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The command line: what it takes, what it prints where, and how it ends. */
class ToolTest {

    private static final String PORT = "../examples/port.harbor.yaml";
    private static final String SIDES = "../examples/sides.harbor.yaml";
    private static final String BROKEN = "../examples/broken.harbor.yaml";

    @BeforeAll
    static void where_the_examples_are() {
        System.setProperty("patientharbor.examples", "../examples");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    check PORT                                   | 0 | All 4 profiles are complete: 3 notes.
                    check BROKEN                                 | 1 | 19 of 19 profiles are not complete
                    check BROKEN --profile circle                | 1 | 1 of 1 profile is not complete
                    check PORT --fail-on warning                 | 0 | All 4
                    check BROKEN --today 2026-03-31              | 1 | 7 warnings
                    check BROKEN --today 2026-04-01              | 1 | 8 warnings
                    check PORT --fail-on note                    | 1 | All 4
                    check SIDES                                  | 0 | Both profiles are complete.
                    roster PORT --profile live                   | 0 | live  34 needs
                    roster PORT --profile live --format tree     | 0 | 1 rota PilotRota: real SeasonPilotRota
                    roster PORT --profile live --wide            | 0 | live  34 needs
                    roster PORT --profile live --format json     | 0 | "patientHarborRoster" : 3
                    roster BROKEN --format coverage              | 1 | in no profile
                    roster BROKEN --format json                  | 1 | "id" : "unmet-need"
                    demo                                         | 0 | The files are in
                    --help                                       | 0 | Exit codes: 0 clean
                    check --help                                 | 0 | --fail-on=SEVERITY
                    --help check                                 | 0 | --fail-on=SEVERITY
                    --version                                    | 0 | patient-harbor
                    """)
    void what_was_asked_for_goes_to_standard_output(String line, int code, String text) {
        Ran ran =
                Ran.line(
                        line.replace("PORT", PORT)
                                .replace("SIDES", SIDES)
                                .replace("BROKEN", BROKEN));
        assertEquals(code, ran.code(), ran.out() + ran.err());
        assertTrue(ran.out().contains(text), ran.out());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    check nowhere.harbor.yaml        | cannot read nowhere.harbor.yaml: there is no such file
                    check ../examples                | cannot read ../examples
                    check                            | there is no *.harbor.yaml in the current folder
                    check PORT --profile rehersal    | there is no profile rehersal; did you mean rehearsal?
                    check PORT --profile moon        | there is no profile moon; there are base, dock-test
                    check PORT --code nowhere        | --code names nowhere, and there is no such place
                    check PORT --format html         | there is no format html; write one of text
                    check PORT --fail-on never       | --fail-on takes error, warning or note, not never
                    check PORT --today tomorrow      | --today takes a day such as 2027-06-30, not tomorrow
                    check PORT --profle live         | --profle
                    check PORT BROKEN                | Unmatched argument
                    roster PORT --out nowhere/at/all | cannot write nowhere/at/all: there is no such file
                    rooster PORT                     | did you mean roster?
                    check PORT --profile             | --profile
                    """)
    void what_cannot_be_used_ends_with_2_and_says_why_on_standard_error(String line, String text) {
        Ran ran =
                Ran.line(
                        line.replace("PORT", PORT)
                                .replace("SIDES", SIDES)
                                .replace("BROKEN", BROKEN));
        assertEquals(2, ran.code(), ran.out() + ran.err());
        assertEquals("", ran.out());
        assertTrue(ran.err().startsWith("patient-harbor: "), ran.err());
        assertTrue(ran.err().contains(text), ran.err());
        assertFalse(ran.err().contains("\tat "), ran.err());
    }

    @Test
    void a_fault_of_ours_ends_with_3_and_a_result_that_is_lost_with_2() {
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        OutputStream full =
                new OutputStream() {
                    @Override
                    public void write(int one) throws IOException {
                        throw new IOException("No space left on device");
                    }
                };
        for (boolean isFull : List.of(false, true)) {
            Console console =
                    new Console(
                            new PrintStream(isFull ? full : OutputStream.nullOutputStream()),
                            new PrintStream(err, true, StandardCharsets.UTF_8),
                            TextLayout.plain(80));
            console.out().print("half a result");
            assertEquals(isFull ? 2 : 0, console.ended(0));
            assertEquals(isFull ? 2 : 1, console.ended(1));
            for (Severity threshold : Severity.values()) {
                int code = CommandEnding.of(RuleFaultTest.ofFaultyRule(), threshold, console);
                assertEquals(3, console.ended(code));
            }
        }
        String told = err.toString(StandardCharsets.UTF_8);
        assertTrue(told.contains("a fault of ours, not of your file"), told);
        assertTrue(told.contains("cannot write to standard output: the report is cut off"), told);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"roster FILE --profile a", "run --profile a FILE X", "compare FILE a b"})
    void of_a_file_that_cannot_be_read_no_profile_is_missed_without_the_reason(
            String line, @TempDir Path temp) throws IOException {
        Path file = temp.resolve("torn.harbor.yaml");
        Files.writeString(file, "patient-harbor: 1\nprofiles:\n  a: { bindings: { x }\n");
        Ran ran = Ran.line(line.replace("FILE", file.toString()));
        assertEquals(2, ran.code());
        String reason = "there is no profile a, for " + file + ":4:1 says: The file is no YAML: ";
        assertTrue(ran.err().contains(reason), ran.err());
    }

    @Test
    void no_command_shows_the_help_and_ends_with_2() {
        Ran ran = Ran.tool();
        assertEquals(2, ran.code());
        assertTrue(ran.out().contains("roster"), ran.out());
    }

    @Test
    void the_result_can_go_to_a_file_and_is_the_same_to_the_byte(@TempDir Path temp)
            throws IOException {
        for (String format : List.of("text", "tree", "json")) {
            Path file = temp.resolve(format);
            Ran ran = Ran.tool("roster", PORT, "--format", format, "--out", file.toString());
            assertEquals("", ran.out());
            assertEquals("written to " + file + "\n", ran.err());
            assertEquals(
                    Ran.tool("roster", PORT, "--format", format).out(), Files.readString(file));
        }
    }

    @Test
    void n53_one_line_of_the_file_changes_the_answer_of_the_same_compiled_code(@TempDir Path temp)
            throws IOException {
        Path file = temp.resolve("port.harbor.yaml");
        String text = Files.readString(Path.of(PORT));
        Files.copy(Path.of("../examples/quay.harbor.yaml"), temp.resolve("quay.harbor.yaml"));
        Files.writeString(file, text);
        String code = "../examples/target/classes";
        String ask = "roster " + file + " --code " + code + " --profile live";
        assertTrue(Ran.line(ask).out().contains("real SonarTideGauge"));
        Files.writeString(file, text.replace("TideGauge: SonarTide", "TideGauge: FixedTide"));
        Ran changed = Ran.line(ask);
        assertTrue(changed.out().contains("real FixedTideGauge"), changed.out());
        assertTrue(changed.out().contains("a place in " + file), "the place that was read");
    }

    @Test
    void code_that_would_end_the_process_when_loaded_is_read_and_never_run(@TempDir Path temp)
            throws IOException {
        JavaCode.compileInto(
                temp,
                """
                package trap;
                public class Trap implements Runnable {
                    static { Runtime.getRuntime().halt(99); }
                    public void run() {}
                }
                package trap;
                public class Desk { public Desk(Runnable task) {} }
                """);
        Path file = temp.resolve("trap.harbor.yaml");
        Files.writeString(
                file,
                """
                patient-harbor: 1
                code: [.]
                packages: [trap]
                entry: [Desk]
                profiles: { test: { bindings: { Runnable: Trap } } }
                """);
        Ran ran = Ran.tool("roster", file.toString());
        assertEquals(0, ran.code(), ran.out() + ran.err());
        assertTrue(ran.out().contains("real Trap"), ran.out());
    }

    @ParameterizedTest
    @ValueSource(ints = {40, 80, 120, 200})
    void text_fits_the_width_and_folds_between_words_never_in_a_name(int width) {
        for (String line : List.of("check " + BROKEN, "roster " + PORT, "check " + PORT)) {
            String wide = Ran.tool(TextLayout.plain(100_000), line.split(" ")).out();
            String folded = Ran.tool(TextLayout.plain(width), line.split(" ")).out();
            for (String one : folded.split("\n")) {
                boolean oneWord = one.strip().indexOf(' ') < 0;
                assertTrue(one.length() <= width || oneWord || width < 80, one);
                assertFalse(one.endsWith(" "), "ends with a space: " + one);
            }
            assertEquals(words(wide), words(folded));
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "check BROKEN",
                "explain PORT winter",
                "explain PORT TideGauge",
                "explain PORT BerthClerk",
                "compare PORT dock-test live",
                "compare PORT live --with=TideGauge:mock"
            })
    void wide_folds_no_line_whatever_the_width(String line) {
        String[] words = line.replace("PORT", PORT).replace("BROKEN", BROKEN).split(" ");
        words =
                Arrays.stream(words)
                        .map(word -> word.replace(":mock", ": mock"))
                        .toArray(String[]::new);
        String[] widely = Arrays.copyOf(words, words.length + 1);
        widely[words.length] = "--wide";
        String wide = Ran.tool(TextLayout.plain(60), widely).out();
        String folded = Ran.tool(TextLayout.plain(60), words).out();
        assertEquals(Ran.tool(TextLayout.plain(100_000), words).out(), wide);
        assertTrue(wide.lines().count() < folded.lines().count(), folded);
        assertEquals(words(folded), words(wide));
    }

    private static List<String> words(String text) {
        return Pattern.compile("\\s+")
                .splitAsStream(text)
                .filter(word -> !word.equals("·"))
                .toList();
    }

    @Test
    void colours_are_for_terminals_and_change_nothing_but_the_look() {
        String plain = Ran.line("check " + BROKEN).out();
        assertFalse(plain.contains("\u001B"));
        String coloured =
                Ran.tool(new TextLayout(100, new TerminalColours()), "check", BROKEN).out();
        assertTrue(coloured.contains("\u001B["));
        assertEquals(plain, coloured.replaceAll("\u001B\\[[0-9;]*m", ""));
    }
}
