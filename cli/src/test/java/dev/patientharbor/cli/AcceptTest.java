package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertAll;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Who receives what, as it was accepted: it changes where an answer does, and nowhere else. */
class AcceptTest {

    private static final String CODE = "../examples/target/classes";

    @TempDir private Path folder;

    private Path port;
    private Path accepted;

    @BeforeEach
    void copy() throws IOException {
        for (String name : List.of("port.harbor.yaml", "quay.harbor.yaml", "port.properties")) {
            Files.copy(Path.of("../examples", name), folder.resolve(name));
        }
        port = folder.resolve("port.harbor.yaml");
        accepted = folder.resolve("accepted.txt");
        assertEquals(0, accept(accepted).code());
    }

    private Ran accept(Path to) {
        return Ran.tool("accept", port.toString(), "--code", CODE, "--out", to.toString());
    }

    private Ran against(String... more) {
        return Ran.tool(
                Stream.concat(
                                Stream.of(
                                        "check",
                                        port.toString(),
                                        "--code",
                                        CODE,
                                        "--against",
                                        accepted.toString()),
                                Stream.of(more))
                        .toArray(String[]::new));
    }

    private void edit(String from, String to) throws IOException {
        String text = Files.readString(port);
        assertTrue(text.contains(from), from);
        Files.writeString(port, text.replace(from, to));
    }

    private Set<String> changedLines() throws IOException {
        Path now = folder.resolve("now.txt");
        accept(now);
        Set<String> lines = new TreeSet<>(Files.readAllLines(now));
        Set<String> gone = new TreeSet<>(Files.readAllLines(accepted));
        lines.removeAll(Files.readAllLines(accepted));
        gone.removeAll(Files.readAllLines(now));
        lines.addAll(gone);
        return lines;
    }

    @Test
    void comments_places_and_the_order_of_lines_change_nothing() throws IOException {
        edit("profiles:", "# more\n\nprofiles:");
        edit(
                "      PilotRota: SeasonPilotRota\n      PortClock: { factory: \"Clocks#wall\" }",
                "      PortClock: { factory: \"Clocks#wall\" }   # moved\n"
                        + "      PilotRota: SeasonPilotRota");
        assertEquals(Set.of(), changedLines());
        Ran ran = against();
        assertEquals(0, ran.code(), ran.out());
        assertFalse(ran.out().contains("roster-changed"));
    }

    @Test
    void a_change_of_one_answer_changes_the_lines_of_those_who_receive_it() throws IOException {
        edit("      CardTerminal: BankCardTerminal", "      CardTerminal: mock");
        Set<String> changed = changedLines();
        assertEquals(2, changed.size(), changed.toString());
        assertTrue(
                changed.contains(
                        "gullwing.quay.FeeBooth | terminal (constructor:1) | live |"
                                + " gullwing.port.CardTerminal | mock, shared"),
                changed.toString());
        Ran ran = against("--profile", "live");
        assertEquals(1, ran.code());
        assertTrue(
                ran.out()
                        .contains(
                                "    A need of gullwing.port.CardTerminal receives something else"
                                    + " than was accepted.\n"
                                    + "    accepted      gullwing.port.CardTerminal: real"
                                    + " gullwing.works.BankCardTerminal, shared\n"
                                    + "    now           gullwing.port.CardTerminal: mock, shared\n"
                                    + "    needs         FeeBooth terminal (constructor:1)\n"),
                ran.out());
        assertEquals(1, accept(accepted).code(), "the rule of live is broken");
        assertFalse(against().out().contains("roster-changed"), "accepted once more");
    }

    @Test
    void what_is_new_and_what_is_gone_is_told_with_its_place() throws IOException {
        List<String> lines = Files.readAllLines(accepted);
        String clock =
                lines.stream()
                        .filter(
                                line ->
                                        line.startsWith("gullwing.quay.QuayBoard | clock")
                                                && line.contains("| live |"))
                        .findFirst()
                        .orElseThrow();
        int at = lines.indexOf(clock);
        lines.set(at, clock.replace("QuayBoard", "QuayShed"));
        Files.write(accepted, lines);
        String out = against().out();
        assertTrue(out.contains("A need of gullwing.port.PortClock is new since"), out);
        assertTrue(out.contains("A need of gullwing.port.PortClock is gone since"), out);
        assertTrue(out.contains(accepted + ":" + (at + 1) + ":1"), out);
    }

    @Test
    void what_cannot_be_read_is_said_with_what_to_do() throws IOException {
        List<String> texts = List.of("<<<<<<< mine\n", "a | b | c\n", "gullwing\n");
        assertAll(
                texts.stream()
                        .map(
                                text ->
                                        () -> {
                                            Files.writeString(accepted, text);
                                            Ran ran = against();
                                            assertEquals(2, ran.code());
                                            assertTrue(
                                                    ran.err()
                                                            .contains(
                                                                    accepted
                                                                            + ":1 is no line of an"
                                                                            + " accepted roster;"
                                                                            + " write it anew"
                                                                            + " with:"),
                                                    ran.err());
                                        }));
        Files.delete(accepted);
        assertTrue(against().err().contains("there is no " + accepted), against().err());
    }

    @Test
    void a_change_may_be_suppressed_with_a_reason_and_be_less_grave() throws IOException {
        edit("      CardTerminal: BankCardTerminal", "      CardTerminal: mock");
        edit("marks:", "severity: { roster-changed: warning, rule-broken: warning }\nmarks:");
        Ran ran = against();
        assertTrue(ran.out().contains("warning roster-changed"), ran.out());
        edit(
                "marks:",
                "suppress:\n"
                        + "  - { id: roster-changed, of: FeeBooth, because: new terminals come }\n"
                        + "marks:");
        ran = against();
        assertTrue(ran.out().contains("because       new terminals come"), ran.out());
        assertFalse(ran.out().contains("suppresses-nothing"), ran.out());
        assertFalse(
                Ran.tool("check", port.toString(), "--code", CODE)
                        .out()
                        .contains("suppresses-nothing"),
                "nobody asked for it");
    }

    @Test
    void a_profile_that_is_gone_or_is_called_oddly_is_told_too() throws IOException {
        edit("  rehearsal:", "  \"drill | \\u200b\":");
        edit("order: [dock-test, winter, rehearsal, live]", "order: [dock-test, winter, live]");
        Ran ran = against("--fail-on", "warning");
        assertEquals(1, ran.code(), ran.err());
        assertTrue(
                ran.out()
                        .contains("The profile rehearsal was accepted, and is not there any more."),
                ran.out());
        assertTrue(ran.out().contains(" is new since the roster was accepted."), ran.out());
        accept(accepted);
        assertFalse(against().out().contains("roster-changed"), against().out());
        edit(
                "      CardTerminal: mock\n    within:\n      SeaWatch",
                "      CardTerminal: BankCardTerminal\n    within:\n      SeaWatch");
        assertTrue(against().out().contains("roster-changed"), "also where a name has odd signs");
    }
}
