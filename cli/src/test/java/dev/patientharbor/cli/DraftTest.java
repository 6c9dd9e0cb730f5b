package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A first profile file, drafted from code. */
class DraftTest {

    private static final Path PORT = Path.of("../examples/target/classes");
    private static final String ENTRIES =
            "gullwing.quay.ArrivalDesk,gullwing.quay.BerthClerk,gullwing.quay.BridgeWatch,"
                    + "gullwing.quay.NightDesk,gullwing.quay.TicketHall,gullwing.quay.FeeBooth,"
                    + "gullwing.quay.ForecastDesk,gullwing.quay.LockKeeper";

    @TempDir private Path folder;

    private Ran draft(Path file, Path code, String... more) {
        String[] line = {"draft", "--code", code.toString(), "--out", file.toString()};
        return Ran.tool(Stream.concat(Stream.of(line), Stream.of(more)).toArray(String[]::new));
    }

    @Test
    void of_the_port_it_is_complete_without_an_edit_and_its_tests_touch_nothing() {
        Path file = folder.resolve("port.harbor.yaml");
        Ran ran = draft(file, PORT, "--entry", ENTRIES);
        assertEquals(0, ran.code(), ran.err());
        assertTrue(ran.err().endsWith("the draft is complete\n"), ran.err());
        Verdict verdict = ProfileFiles.read(file).check(LocalDate.EPOCH);
        assertEquals(
                List.of(),
                verdict.allFindings().stream()
                        .filter(finding -> finding.severity() == Severity.ERROR)
                        .toList());
        assertTrue(verdict.roster("main").rows().size() > 15);
        assertTrue(
                verdict.roster("test").rows().stream()
                        .filter(row -> row.slot().text().endsWith("PilotPager"))
                        .allMatch(row -> row.answer().kind().word().equals("mock")));
    }

    @Test
    void what_nobody_can_choose_is_left_to_fill_with_the_line_beside_it() throws IOException {
        Path file = folder.resolve("office.harbor.yaml");
        Ran ran =
                draft(
                        file,
                        PORT,
                        "--entry",
                        "gullwing.office.BookingDesk,gullwing.office.OverdueJob");
        assertTrue(ran.err().endsWith("to fill: BookingStore, FareTable, Mailer\n"), ran.err());
        String text = Files.readString(file);
        assertTrue(
                text.contains("# { class: PostMailer, with: { port: … } }\n      Mailer: to-fill"));
        String filled =
                text.replace(
                                "BookingStore: to-fill",
                                "BookingStore: { class: FileBookingStore, with: { file: b } }")
                        .replace(
                                "FareTable: to-fill",
                                "FareTable: { class: SeasonFares, with: { cents: 5 } }")
                        .replace(
                                "Mailer: to-fill",
                                "Mailer: { class: PostMailer, with: { port: 25 } }");
        Files.writeString(file, filled);
        Verdict verdict = ProfileFiles.read(file).check(LocalDate.EPOCH);
        assertFalse(verdict.hasAtLeast(Severity.ERROR));
    }

    @Test
    void no_file_is_overwritten_and_what_cannot_be_used_is_said() throws IOException {
        Path file = Files.writeString(folder.resolve("mine.harbor.yaml"), "mine");
        Ran kept = draft(file, PORT);
        assertEquals(2, kept.code());
        assertTrue(kept.err().contains("which is there; draft overwrites nothing"), kept.err());
        assertEquals("mine", Files.readString(file));
        assertEquals(2, Ran.tool("draft").code());
        Path nothing = Files.createDirectories(folder.resolve("nothing"));
        Ran empty = draft(folder.resolve("other.harbor.yaml"), nothing);
        assertEquals(2, empty.code());
        assertTrue(empty.err().contains("nobody in the code asks for a contract"), empty.err());
        assertFalse(Files.exists(folder.resolve("other.harbor.yaml")));
    }

    @Test
    void collections_of_nothing_may_be_empty_and_odd_types_are_left_to_fill() {
        Path code =
                JavaCode.compile(
                        """
                        package quay;
                        public interface Horn { void blow(); }
                        package quay;
                        public class Desk {
                            Desk(java.util.List<Horn> all, java.util.function.Predicate<Horn> which, Horn one) {}
                        }
                        """);
        Path file = folder.resolve("odd.harbor.yaml");
        Ran ran = draft(file, code);
        assertEquals(0, ran.code(), ran.err());
        Verdict verdict = ProfileFiles.read(file).check(LocalDate.EPOCH);
        assertEquals(
                List.of("unmet-need"),
                verdict.allFindings().stream()
                        .filter(finding -> finding.severity() == Severity.ERROR)
                        .map(finding -> finding.kind().id())
                        .distinct()
                        .toList());
    }

    /** Each binding of the port's base profile, as its lines stand in the file. */
    private static List<String> bindingsOfPort(String text) {
        int start = text.indexOf("    bindings:\n") + "    bindings:\n".length();
        return text.substring(start, text.indexOf("    decorators:\n")).lines().toList();
    }

    @Test
    void what_is_missing_is_added_and_every_other_byte_stays() throws IOException {
        for (String name : List.of("port.harbor.yaml", "quay.harbor.yaml", "port.properties")) {
            Files.copy(PORT.resolve("../..").resolve(name), folder.resolve(name));
        }
        Path file = folder.resolve("port.harbor.yaml");
        String whole = Files.readString(file);
        int added = 0;
        for (String line : bindingsOfPort(whole)) {
            String without = whole.replace(line + '\n', "");
            Files.writeString(file, without);
            String[] command = {
                "draft", "--into", file.toString(), "--profile", "base", "--code", PORT.toString()
            };
            Ran ran = Ran.tool(command);
            assertEquals(0, ran.code(), ran.err());
            String now = Files.readString(file);
            List<String> left = new ArrayList<>(now.lines().toList());
            without.lines().forEach(left::remove);
            List<String> kept = new ArrayList<>(now.lines().toList());
            left.forEach(kept::remove);
            assertEquals(without.lines().toList(), kept, line);
            added += left.isEmpty() ? 0 : 1;
            Ran.tool(command);
            assertEquals(now, Files.readString(file), "once more, " + line);
            assertFalse(
                    ProfileFiles.read(file)
                            .withCode(PORT)
                            .check(LocalDate.EPOCH)
                            .allFindings()
                            .stream()
                            .map(finding -> finding.kind().id())
                            .anyMatch(
                                    id ->
                                            id.equals("malformed-file")
                                                    || id.equals("repeated-key")));
        }
        assertTrue(added > 8, added + " bindings are missed");
    }

    @Test
    void lines_go_into_blocks_braces_and_where_nothing_is() throws IOException {
        String file =
                """
                patient-harbor: 1
                title: Office   # ours
                code: [%s]
                packages: [gullwing.office]
                entry: [OverdueJob]
                profiles:
                  block:
                    bindings:   # what we have
                      Mailer: mock   # kept

                    # a word at the end
                  braces: { bindings: { Mailer: mock } }   # short
                  open: { bindings: {} }
                  none: { title: x }
                  nothing:
                """
                        .formatted(PORT.toAbsolutePath());
        for (String end : List.of("\n", "\r\n")) {
            for (String profile : List.of("block", "braces", "open", "none", "nothing")) {
                Path path = folder.resolve(profile + end.length() + ".harbor.yaml");
                Files.writeString(path, file.replace(" title: x ", "").replace("\n", end));
                Ran ran = Ran.tool("draft", "--into", path.toString(), "--profile", profile);
                assertEquals(0, ran.code(), ran.err());
                String text = Files.readString(path);
                assertTrue(text.contains("OfficeCalendar: WallCalendar"), text);
                assertEquals(end.length() == 2, !text.replace("\r\n", "").contains("\n"), text);
                assertTrue(text.contains("# a word at the end"), text);
                Verdict verdict = ProfileFiles.read(path).check(LocalDate.EPOCH);
                assertEquals(
                        List.of(
                                "BookingStore is left to be filled, and "
                                        + profile
                                        + " does not fill it."),
                        verdict.profiles().stream()
                                .filter(each -> each.name().equals(profile))
                                .flatMap(each -> each.findings().stream())
                                .filter(finding -> finding.severity() == Severity.ERROR)
                                .map(finding -> finding.message())
                                .toList(),
                        text);
            }
        }
    }

    @Test
    void options_that_say_nothing_together_are_refused() {
        String code = PORT.toString();
        Stream.of(
                        "--from A#b --into x.harbor.yaml",
                        "--entry A --from A#b",
                        "--entry A --into x.harbor.yaml",
                        "--verify",
                        "--profile x",
                        "--tests XTest.java",
                        "--into no-such.harbor.yaml")
                .forEach(
                        options -> {
                            String[] line = ("draft --code " + code + ' ' + options).split(" ");
                            assertEquals(2, Ran.tool(line).code(), options);
                        });
    }

    @Test
    void damaged_code_is_never_a_fault_of_the_tool() throws IOException {
        Path code = Files.createDirectories(folder.resolve("code"));
        try (Stream<Path> all = Files.walk(PORT.resolve("gullwing/office"))) {
            for (Path file : all.filter(Files::isRegularFile).toList()) {
                Path to = code.resolve(PORT.relativize(file));
                Files.createDirectories(to.getParent());
                Files.copy(file, to);
            }
        }
        List<Path> files;
        try (Stream<Path> all = Files.walk(code)) {
            files = all.filter(Files::isRegularFile).sorted().toList();
        }
        Random random = new Random(3);
        for (int round = 0; round < 150; round++) {
            Path file = files.get(random.nextInt(files.size()));
            byte[] sound = Files.readAllBytes(file);
            byte[] damaged = sound.clone();
            damaged[10 + random.nextInt(damaged.length - 10)] = (byte) random.nextInt(256);
            Files.write(file, damaged);
            Ran ran = Ran.tool("draft", "--code", code.toString());
            assertTrue(ran.code() == 0 || ran.code() == 2, ran.err());
            Ran from =
                    Ran.tool(
                            "draft",
                            "--code",
                            code.toString(),
                            "--from",
                            "gullwing.office.FerryOffice#main");
            assertTrue(from.code() == 0 || from.code() == 2, from.err());
            Ran survey = Ran.tool("survey", "--code", code.toString());
            assertEquals(0, survey.code(), survey.err());
            Files.write(file, sound);
        }
    }
}
