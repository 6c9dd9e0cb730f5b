package dev.patientharbor.cli;

import static dev.patientharbor.profiles.Supplies.object;
import static dev.patientharbor.profiles.Supplies.stub;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.testing.JavaCode;
import gullwing.port.PortClock;
import gullwing.quay.QuayBoard;
import gullwing.trial.SilentRadioNotice;
import gullwing.trial.StoppedClock;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is said beside the answer: order, reasons, signs that nobody sees. */
class FineOrderTest {

    private static final String CODE =
            """
            package p;
            public interface Clock {}
            package p;
            public class Base {}
            package p;
            public class AClock implements Clock { public AClock(Base base) {} }
            package p;
            public class ZDesk { public ZDesk(Clock clock) {} }
            """;

    @TempDir private Path folder;

    private Path file(String text) throws IOException {
        return Files.writeString(folder.resolve("f.harbor.yaml"), "patient-harbor: 1\n" + text);
    }

    private String code() {
        return JavaCode.compile(CODE).toString();
    }

    private static final String CLOCK =
            "entry: [p.ZDesk]\nprofiles: { main: { bindings: { p.Clock: p.AClock } } }\n";

    @Test
    void entry_consumers_come_before_what_they_receive() throws IOException {
        String out = Ran.tool("roster", file(CLOCK).toString(), "--code", code()).out();
        int entry = out.indexOf("ZDesk · entry consumer");
        assertTrue(entry > 0 && entry < out.indexOf("AClock · in the slot"), out);
    }

    @Test
    void signs_that_nobody_sees_are_written_out_for_programs() throws IOException {
        String json =
                Ran.tool(
                                "roster",
                                file("title: \"a\\u202eb\"\n" + CLOCK).toString(),
                                "--code",
                                code(),
                                "--format",
                                "json")
                        .out();
        assertTrue(json.contains("\"a\\u202eb\""), json);
        assertFalse(json.contains("\u202e"), json);
    }

    @Test
    void places_outside_the_folder_are_refused_whether_they_are_there_or_not() throws IOException {
        for (String place : List.of("../elsewhere", "../elsewhere/deep/er")) {
            Ran ran =
                    Ran.tool(
                            "check",
                            file("code: [" + place + "]\n" + CLOCK).toString(),
                            "--inside-folder");
            assertTrue(ran.out().contains("it lies outside the profile's folder"), ran.out());
        }
        Ran inside =
                Ran.tool(
                        "check", file("code: [not/there]\n" + CLOCK).toString(), "--inside-folder");
        assertFalse(inside.out().contains("it lies outside"), inside.out());
    }

    @Test
    void the_word_for_the_own_class_path_is_known_where_it_is_written() throws IOException {
        ProfileSet own =
                ProfileFiles.read(
                        file(
                                "code: [class-path]\nentry: ["
                                        + QuayBoard.class.getName()
                                        + "]\nprofiles: { main: {} }\n"));
        assertTrue(ProfileFiles.namesClassPath(own));
        assertTrue(own.check().knows(QuayBoard.class.getName()));
        assertFalse(
                ProfileFiles.namesClassPath(ProfileFiles.read(file("code: [classes]\n" + CLOCK))));
        Ran tool = Ran.tool("check", folder.resolve("f.harbor.yaml").toString());
        assertEquals(1, tool.code(), tool.out());
    }

    @Test
    void text_that_is_nested_too_deeply_is_reported_where_it_begins_to_be() throws IOException {
        Ran ran = Ran.tool("check", file("code: " + "[".repeat(2000) + "\n").toString());
        assertTrue(ran.out().contains("f.harbor.yaml:2:"), ran.out());
        Files.writeString(folder.resolve("f.harbor.yaml"), "#".repeat((8 << 20) + 1));
        Ran large = Ran.tool("check", folder.resolve("f.harbor.yaml").toString());
        assertTrue(
                large.err().contains("it is larger than 8 MiB, the most for a profile file"),
                large.err());
    }

    @Test
    void class_files_that_cannot_be_read_say_why() throws IOException {
        Path code = JavaCode.newFolder();
        JavaCode.compileInto(code, CODE);
        Path clock = code.resolve("p/AClock.class");
        byte[] sound = Files.readAllBytes(clock);
        byte[] newer = sound.clone();
        newer[7] = 99;
        Files.write(clock, newer);
        assertTrue(unreadable(code).contains("it was made for a newer Java"));
        byte[] damaged = sound.clone();
        damaged[10] = (byte) 0xee;
        Files.write(clock, damaged);
        assertTrue(unreadable(code).contains("it is damaged"));
    }

    private String unreadable(Path code) throws IOException {
        return Ran.tool("check", file(CLOCK).toString(), "--code", code.toString())
                .out()
                .replaceAll("\\s+", " ");
    }

    @Test
    void findings_stand_by_place_then_by_id_and_files_come_before_classes() {
        SourcePosition here = new SourcePosition.InFile("a.yaml", 3, 1);
        Finding later = Finding.of(FindingKinds.UNUSED_BINDING, here, "a", "m");
        Finding sooner = Finding.of(FindingKinds.UNMET_NEED, here, "b", "m");
        Finding inClass =
                Finding.of(FindingKinds.UNMET_NEED, SourcePosition.classNamed("a.A"), "a", "m");
        assertEquals(
                List.of(sooner, later, inClass),
                Stream.of(inClass, later, sooner).sorted(Finding.ORDER).toList());
    }

    @Test
    void no_stand_in_is_proposed_where_a_rule_forbids_it() throws IOException {
        String profiles = "entry: [p.ZDesk]\nprofiles: { main: { %s } }\n";
        for (String rule :
                List.of(
                        "rules: { stand-ins: forbidden }",
                        "rules: { must-be-real: [p.Clock] }",
                        "")) {
            Ran ran =
                    Ran.tool(
                            "check",
                            file(profiles.formatted(rule)).toString(),
                            "--code",
                            JavaCode.compile(CODE.replace("AClock implements Clock", "AClock"))
                                    .toString());
            assertEquals(
                    rule.isEmpty(),
                    ran.out().contains("p.Clock: mock") || ran.out().contains("Clock: mock"),
                    ran.out());
        }
    }

    @Test
    void what_a_child_hides_is_said_in_words_and_an_answer_tells_all_of_itself() {
        ProfileSet set =
                ProfileSet.define(
                        "Quay",
                        it -> {
                            it.entry(QuayBoard.class);
                            it.profile(
                                    "base",
                                    base -> {
                                        base.fill(PortClock.class, object(new StoppedClock()));
                                        base.fill(
                                                gullwing.port.RadioNotice.class,
                                                stub(SilentRadioNotice.class));
                                    });
                            it.profile(
                                    "test",
                                    test -> {
                                        test.extend("base");
                                        test.fill(PortClock.class, stub(StoppedClock.class));
                                    });
                        });
        Verdict verdict = set.check(LocalDate.EPOCH);
        Answer clock =
                verdict.roster("test").rows().stream()
                        .filter(row -> row.slot().text().endsWith("PortClock"))
                        .findFirst()
                        .orElseThrow()
                        .answer();
        assertEquals("an object of gullwing.trial.StoppedClock", clock.hides().get(0).supply());
        assertTrue(
                clock.toString().startsWith("Answer[kind=STUB, implementation="), clock.toString());
    }
}
