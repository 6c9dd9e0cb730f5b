package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingDetail;
import dev.patientharbor.testing.JavaCode;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/** A line that is offered, put where it says, mends what it is offered for. */
class OfferedLinesTest {

    private static final String CODE =
            """
            package p;
            import jakarta.inject.*;
            import java.util.*;
            import java.util.function.Supplier;
            enum Water { COAST, SEA }
            interface Gauge {} class Sonar implements Gauge {} class Levy implements Gauge { Levy(Gauge inner) {} }
            class Trial implements Gauge {}
            interface Feed {} @Named("a") class A implements Feed {} @Named("b") class B implements Feed {}
            class Plain implements Feed {}
            interface Lone {} abstract class Half implements Lone {} class Wrapped implements Lone { Wrapped(Lone inner) {} }
            interface Reader<T> {} class Ship {} class ShipReader implements Reader<Ship> {}
            sealed interface Shut permits Key1 {} final class Key1 implements Shut {}
            abstract class Mailer { abstract void send(); }
            class Many implements Gauge { Many(int port) {} Many(String host) {} Many() {} }
            class Hidden implements Gauge { private Hidden() {} }
            class Desk { Desk(Gauge gauge) {} }
            class Keyed { Keyed(@Named("b") Feed feed, @Named("c") Feed other) {} }
            class Ends { Ends(Lone lone) {} }
            class Dock { Dock(Reader<Ship> ships) {} }
            class Door { Door(Shut shut) {} }
            class Post { Post(Mailer mailer) {} }
            class Waters { Waters(Map<Water, Feed> all) {} }
            class Maps { Maps(Map<String, Feed> all, List<Reader<Ship>> list) {} }
            class Clocks { Clocks(java.time.Clock clock) {} }
            """;

    private static final Path CLASSES = JavaCode.compile(CODE);

    private static final Pattern WRITE = Pattern.compile("(?s)(.+?)     (.+)");

    /** A file with a profile {@code test} whose bindings stand each in a line of its own. */
    private static final String[] FILES = {
        "entry: [Desk]\nprofiles:\n  test:\n    bindings:\n      Feed@x: mock\n",
        "entry: [Desk]\nprofiles:\n  test:\n    bindings:\n      Gauge: none\n",
        "entry: [Desk]\nprofiles:\n  live:\n    bindings:\n      Feed@x: mock\n"
                + "  test:\n    bindings:\n      Gauge: { fake: Sonar }\n",
        "entry: [Desk]\nprofiles:\n  test:\n    bindings:\n      Gauge: Many\n",
        "entry: [Desk]\nprofiles:\n  test:\n    bindings:\n      Gauge: Hidden\n",
        "entry: [Keyed]\nprofiles:\n  test:\n    bindings:\n      Feed@x: mock\n",
        "entry: [Keyed]\n"
                + "fill-in: [marked]\n"
                + "profiles:\n"
                + "  test:\n"
                + "    bindings:\n"
                + "      Feed@x: mock\n",
        "entry: [Ends]\nprofiles:\n  test:\n    bindings:\n      Feed@x: mock\n",
        "entry: [Dock]\nprofiles:\n  test:\n    bindings:\n      Feed@x: mock\n",
        "entry: [Door]\nprofiles:\n  test:\n    bindings:\n      Feed@x: mock\n",
        "entry: [Waters]\nprofiles:\n  test:\n    bindings:\n      Feed@COAST: Plain\n",
        "entry: [Waters, Maps]\nprofiles:\n  test:\n    bindings:\n      Gauge: mock\n",
        "entry: [Many]\nprofiles:\n  test:\n    bindings:\n      Feed@x: mock\n",
        "entry: [Desk]\n"
                + "areas: { quay: { members: [Desk] } }\n"
                + "profiles:\n"
                + "  test:\n"
                + "    bindings:\n"
                + "      Gauge: Sonar\n"
                + "    within:\n"
                + "      Desk:\n"
                + "        reach: { Gauge: own }\n"
                + "        bindings:\n"
                + "          Feed@x: mock\n",
    };

    @TestFactory
    Stream<DynamicTest> each_offered_line_mends_its_finding() {
        return Stream.of(FILES).map(file -> DynamicTest.dynamicTest(file, () -> mend(file)));
    }

    private static void mend(String file) {
        String text = file;
        int written = 0;
        for (int round = 0; round < 6; round++) {
            Optional<Finding> next =
                    findings(text).stream()
                            .filter(finding -> line(finding).isPresent())
                            .findFirst();
            if (next.isEmpty()) {
                break;
            }
            text = put(text, line(next.get()).get(), next.get());
            written++;
            String identity = next.get().kind().id() + next.get().cause();
            String now = text;
            assertFalse(
                    findings(text).stream()
                            .anyMatch(
                                    finding ->
                                            (finding.kind().id() + finding.cause())
                                                    .equals(identity)),
                    () -> "still " + identity + " in\n" + now);
        }
        assertTrue(written > 0, "nothing was offered for\n" + file);
        String end = text;
        assertFalse(
                findings(text).stream()
                        .anyMatch(finding -> finding.kind().id().equals("malformed-file")),
                () -> end);
    }

    private static List<Finding> findings(String text) {
        return Situation.of(CLASSES, text).verdict().allFindings();
    }

    private static Optional<String> line(Finding finding) {
        return finding.details().stream()
                .filter(detail -> detail.label().equals("write"))
                .map(FindingDetail::text)
                .filter(detail -> !detail.contains("…"))
                .findFirst();
    }

    /** Puts a line under the bindings that it names, or in place of the one that it replaces. */
    private static String put(String text, String offered, Finding finding) {
        Matcher write = WRITE.matcher(offered);
        assertTrue(write.matches(), offered);
        List<String> lines = new java.util.ArrayList<>(text.lines().toList());
        String place = write.group(2).split(", or ")[0];
        if (place.startsWith("in place of")) {
            int at = finding.at().match(in -> in.line(), in -> 0, in -> 0);
            Matcher there = Pattern.compile("f:(\\d+)").matcher(place);
            int line = there.find() ? Integer.parseInt(there.group(1)) : at;
            lines.set(line - 3, "      " + write.group(1));
        } else {
            String[] keys = place.substring("under ".length()).split(" › ");
            int at = 0;
            for (String key : keys) {
                while (!lines.get(at).strip().equals(key + ":")) {
                    at++;
                }
            }
            String next = lines.get(at + 1);
            int indent = next.length() - next.stripLeading().length();
            lines.add(at + 1, " ".repeat(indent) + write.group(1));
        }
        return String.join("\n", lines) + "\n";
    }

    @Test
    void what_cannot_work_is_not_offered() {
        assertEquals(
                List.of("Gauge: Sonar     under test › bindings"),
                written(
                        "entry: [Desk]\n"
                                + "profiles:\n"
                                + "  other: { bindings: { Gauge: { fake: Trial } } }\n"
                                + "  test: {}\n"),
                "Trial stands in elsewhere");
        assertEquals(
                List.of(
                        "Feed@b: B     under test › bindings",
                        "Feed@c: Plain     under test › bindings"),
                written("entry: [Keyed]\nprofiles:\n  test: {}\n"));
        assertEquals(
                List.of(),
                written("entry: [Ends]\nprofiles:\n  test: { rules: { stand-ins: forbidden } }\n"),
                "no mock where no stand-in may be");
        Situation half =
                Situation.of(
                        CLASSES,
                        "entry: [Ends]\nprofiles:\n  test: { rules: { stand-ins: forbidden } }\n");
        assertEquals(
                "none that can stand there: Half (abstract), Wrapped (asks for one itself)",
                half.detail("unmet-need", "in the code"));
        assertEquals(
                List.of(),
                written("entry: [Post]\nprofiles:\n  test: {}\n"),
                "no mock of a class, for nobody may be there who makes one");
        assertEquals(List.of(), written("entry: [Clocks]\nprofiles:\n  test: {}\n"));
        Situation namesake =
                Situation.of(
                        CLASSES,
                        "entry: [Clocks]\nprofiles:\n  test: { bindings: { Clock: mock } }\n");
        assertEquals("java.time.Clock", namesake.detail("unknown-class", "did you mean"));
        assertFalse(namesake.told().toString().contains("unmet-need"), "one cause is told once");
        Situation wrapped =
                Situation.of(
                        CLASSES,
                        "entry: [Desk]\nprofiles:\n  test: { bindings: { Gauge: Levy } }\n");
        assertTrue(wrapped.detail("cycle", "do").contains("Gauge: [Levy] under decorators"));
        for (String[] word :
                new String[][] {
                    {"stub", "{ stub: CLASS }"},
                    {"Mock", "mock"},
                    {"None", "none"},
                    {"fake", "{ fake: CLASS }"}
                }) {
            Situation it =
                    Situation.of(
                            CLASSES,
                            "entry: [Desk]\nprofiles:\n  test: { bindings: { Gauge: "
                                    + word[0]
                                    + " } }\n");
            assertEquals(word[1], it.detail("unknown-class", "did you mean"));
        }
    }

    private static List<String> written(String file) {
        return findings(file).stream().flatMap(finding -> line(finding).stream()).toList();
    }

    @Test
    void what_nobody_can_make_is_told_and_a_mock_of_a_class_is_noted() {
        Situation it =
                Situation.of(
                                CLASSES,
                                """
                                entry: [Door, Post]
                                profiles:
                                  mock:
                                    bindings:
                                      Shut: mock                  # <- cannot-be-built
                                      Mailer: mock
                                  layered:
                                    bindings: { Shut: Key1, Mailer: mock }
                                    decorators:
                                      Shut: [spy]                 # <- not-a-decorator
                                """)
                        .tellsWhatIsMarked();
        assertTrue(it.finding("mock-of-class").message().contains("patient-harbor-mockito"));
    }

    @Test
    void patterns_leave_out_tests_and_inner_classes_and_what_is_excluded() {
        String code =
                """
                package q;
                import jakarta.inject.*;
                interface Gauge {} class Sonar implements Gauge { @Inject Sonar() {} }
                class Top { @Inject Top(Middle middle) {} }
                class Middle { @Inject Middle(Gauge gauge) {} }
                class Unmarked { Unmarked(Gauge gauge) {} class Inner { Inner(Gauge gauge) {} } static class Nested { Nested(Gauge gauge) {} } }
                class ATest { ATest(Gauge gauge) {} @org.junit.jupiter.api.Test void one() {} }
                """;
        Path classes = JavaCode.compile(code);
        String[][] cases = {
            {"q.*", "Middle Nested Top Unmarked", ""},
            {"q.*, \"!q.Top\"", "Middle Nested Unmarked", ""},
            {"q.**, \"!q.*\", q.Top", "Top", "unknown-entry"},
            {"unasked q.**", "Top", ""},
            {"q.*, \"!q.Topp\"", "Middle Nested Top Unmarked", "unknown-entry"},
        };
        for (String[] one : cases) {
            Situation it =
                    Situation.of(
                            classes,
                            "entry: ["
                                    + one[0]
                                    + "]\nprofiles: { test: { bindings: { q.Gauge: q.Sonar } } }");
            List<String> consumers =
                    it.verdict().roster("test").rows().stream()
                            .filter(row -> row.as().isEmpty())
                            .map(row -> row.consumer().replaceAll(".*[.$]", ""))
                            .sorted()
                            .toList();
            assertEquals(one[1], String.join(" ", consumers), one[0]);
        }
        assertEquals(
                "q.**",
                Situation.of(classes, "entry: [qq.**]\nprofiles: { test: {} }")
                        .detail("unknown-entry", "did you mean"));
    }

    @Test
    void patterns_take_in_a_record_if_what_it_holds_can_be_swapped() {
        Situation it =
                Situation.of(
                        """
                        sealed interface Flag {
                            void hoist(int times);
                            record Cloth(String colour) implements Flag { public void hoist(int times) {} }
                            record Net(int feet) implements Flag { public void hoist(int times) {} }
                        }
                        sealed interface Tide { record High(int feet) implements Tide {} record Low(int feet) implements Tide {} }
                        enum Shift { DAY, NIGHT }
                        record Mast(Flag flag) {}
                        record Pole(Flag.Net net) {}
                        record Roster(java.util.List<Shift> shifts) {}
                        record Note(Tide tide, java.util.Optional<Tide.High> highest) {}
                        record Route(String name, java.util.List<Note> notes) {}
                        """,
                        """
                        entry: ["p.*"]
                        profiles:
                          gone: {}
                          here:
                            bindings:
                              Flag: { class: Flag.Cloth, with: { colour: red } }
                              List<Shift>: { value: [DAY] }
                        """);
        List<String> needs =
                it.verdict().roster("here").rows().stream()
                        .filter(row -> row.as().isEmpty())
                        .map(row -> it.verdict().shortName(row.consumer()) + "." + row.need())
                        .toList();
        assertEquals(List.of("Mast.flag", "Pole.net", "Roster.shifts"), needs);
    }

    @Test
    void another_constructor_that_asks_is_offered_and_then_nothing_is_hard_wired() {
        String code =
                """
                interface Mailer { void send(); }
                class Post implements Mailer { public void send() {} }
                class Job { final Mailer m; Job() { this(new Post()); } Job(Mailer m) { this.m = m; } void go() { m.send(); } }
                class Own { final Mailer m = new Post(); Own() {} Own(Mailer other) {} void go() { m.send(); } }
                class Root { Root(Job job, Own own, Mailer mailer) {} }
                """;
        String yaml =
                """
                entry: [Root]
                profiles:
                  test:
                    bindings:
                      Own: { class: Own, constructor: [] }
                      Mailer: mock
                      Job: { class: Job, constructor: [] }
                """;
        Situation it = Situation.of(code, yaml);
        assertEquals(List.of("p.Job", "p.Own"), hardWired(it));
        List<String> offered =
                it.verdict().allFindings().stream()
                        .filter(finding -> finding.consumers().contains("p.Job"))
                        .flatMap(finding -> finding.details().stream())
                        .filter(detail -> detail.label().equals("write"))
                        .map(detail -> detail.text())
                        .toList();
        String line = "Job: { class: Job, constructor: [Mailer] }";
        assertEquals(List.of(line + "     in place of its binding"), offered);
        String pasted = yaml.replaceAll(" Job: .*", " " + line);
        assertEquals(List.of("p.Own"), hardWired(Situation.of(code, pasted)));
    }

    private static List<String> hardWired(Situation it) {
        return it.verdict().allFindings().stream()
                .filter(finding -> finding.kind().id().equals("hard-wired"))
                .flatMap(finding -> finding.consumers().stream())
                .sorted()
                .toList();
    }

    @Test
    void the_constructor_that_is_offered_for_a_stand_in_leaves_it_one() {
        String code =
                """
                interface Gauge {}
                class Fixed implements Gauge { Fixed(Runnable store) {} Fixed(int level, String unit) {} }
                class Desk { Desk(Gauge gauge) {} }
                """;
        String yaml =
                "entry: [Desk]\n"
                        + "profiles: { test: { bindings: { Runnable: mock, Gauge: SUPPLY } } }\n";
        assertEquals(
                "Gauge: { stub: Fixed, constructor: [Runnable] }     in place of its binding",
                Situation.of(code, yaml.replace("SUPPLY", "{ stub: Fixed }"))
                        .detail("which-constructor", "write"));
        assertEquals(
                "constructor: [Runnable]     to its binding, f:4:49",
                Situation.of(code, yaml.replace("SUPPLY", "{ stub: Fixed, lifetime: fresh }"))
                        .detail("which-constructor", "add"));
    }
}
