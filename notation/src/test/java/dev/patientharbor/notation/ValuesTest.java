package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.terms.Settings;
import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Values that are given to constructors, and settings in them. */
class ValuesTest {

    private static final Settings SETTINGS =
            new Settings(
                    Map.of("both", "of the process", "PORT", "8080"),
                    Map.of("both", "of the environment", "SECRET", "hunter2", "BLANK", ""),
                    Map.of("both", "of a file", "FILE_ONLY", "7"));

    private static Path classes;

    @BeforeAll
    static void compile() {
        classes =
                JavaCode.compile(
                        """
                        package p;
                        import java.util.*;
                        enum Mode { FAST, SLOW }
                        record Place(String name, int depth) {}
                        interface Horn {}
                        class Horn1 implements Horn { Horn1(int v) {} }
                        class Horn2 implements Horn { Horn2(Boolean v) {} }
                        class Horn3 implements Horn { Horn3(java.time.Duration v) {} }
                        class Horn4 implements Horn { Horn4(Mode v) {} }
                        class Horn5 implements Horn { Horn5(List<Integer> v) {} }
                        class Horn6 implements Horn { Horn6(Map<String, java.time.LocalDate> v) {} }
                        class Horn7 implements Horn { Horn7(Place v) {} }
                        class Horn8 implements Horn { Horn8(String v) {} }
                        class Horn9 implements Horn { Horn9(java.net.URI v) {} }
                        class Horn10 implements Horn { Horn10(java.math.BigDecimal[] v) {} }
                        class Horn11 implements Horn { Horn11(Horn inner, String v, char c) {} }
                        class Horn12 implements Horn { Horn12(Random v) {} }
                        class Desk { Desk(Horn horn) {} }
                        """);
    }

    private static Verdict check(String binding, Path folder) {
        String text =
                "patient-harbor: 1\npackages: [p]\nentry: [Desk]\nprofiles:\n  test:\n"
                        + "    bindings:\n      Horn@inner: mock\n      Horn: "
                        + binding
                        + "\n";
        ProfileSet file = ProfileFiles.parse(text.getBytes(StandardCharsets.UTF_8), "f", folder);
        return file.withCode(classes).withSettings(SETTINGS).check(Situation.TODAY);
    }

    private static List<String> told(Verdict verdict) {
        return verdict.allFindings().stream()
                .filter(finding -> !finding.kind().id().equals("unused-binding"))
                .map(finding -> finding.kind().id() + ": " + finding.message())
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    Horn1 | 12                         |
                    Horn1 | '${PORT}'                  |
                    Horn1 | '${FILE_ONLY}'             |
                    Horn1 | twelve                     | value-unfit: Horn1 (constructor parameter 1, v): twelve is not an int.
                    Horn1 | '${SECRET}'                | value-unfit: Horn1 (constructor parameter 1, v): ${SECRET} is not an int.
                    Horn1 | '${NO_SUCH}'               | value-missing: Horn1 (constructor parameter 1, v): the setting NO_SUCH is not set.
                    Horn1 | '${NO_SUCH:-12}'           |
                    Horn1 | '${NO_SUCH:-${PORT}}'      |
                    Horn1 | '${BLANK:-3}'              |
                    Horn1 | '${BLANK-3}'               | value-unfit: Horn1 (constructor parameter 1, v): ${BLANK-3} is not an int.
                    Horn1 | '1${PORT'                  | value-unfit: Horn1 (constructor parameter 1, v): 1${PORT is not a setting as ${NAME} or ${NAME:-default}.
                    Horn1 | [1]                        | value-unfit: Horn1 (constructor parameter 1, v): [1] is not an int.
                    Horn2 | true                       |
                    Horn2 | yes                        | value-unfit: Horn2 (constructor parameter 1, v): yes is not a Boolean.
                    Horn3 | 5s                         |
                    Horn3 | PT1H                       |
                    Horn3 | soon                       | value-unfit: Horn3 (constructor parameter 1, v): soon is not a Duration.
                    Horn4 | FAST                       |
                    Horn4 | QUICK                      | value-unfit: Horn4 (constructor parameter 1, v): QUICK is not one of FAST, SLOW.
                    Horn5 | '[1, "${PORT}"]'           |
                    Horn5 | '[1, x]'                   | value-unfit: Horn5 (constructor parameter 1, v): x is not an Integer.
                    Horn6 | { a: 2027-06-30 }          |
                    Horn6 | { a: 2027-13-30 }          | value-unfit: Horn6 (constructor parameter 1, v): 2027-13-30 is not a LocalDate.
                    Horn7 | '{ name: x, depth: 3 }'    |
                    Horn7 | '{ name: x, deep: 3 }'     | value-unfit: Horn7 (constructor parameter 1, v): deep is not one of name, depth.
                    Horn8 | 'costs $$5, ${both}'       |
                    Horn9 | 'http://a b'               | value-unfit: Horn9 (constructor parameter 1, v): http://a b is not an URI.
                    Horn10 | '[1.5, 2]'                |
                    Horn12 | 3                         | value-unfit: Horn12 (constructor parameter 1, v): 3 is not java.util.Random, which no value can be written for.
                    """)
    void n11_a_value_converts_or_is_told(String horn, String value, String finding) {
        List<String> told =
                told(
                        check(
                                "{ class: " + horn + ", with: { v: " + quoted(value) + " } }",
                                Path.of("")));
        if (finding == null) {
            assertEquals(List.of(), told);
        } else {
            assertTrue(told.contains(finding), told + " lacks " + finding);
            assertFalse(told.toString().contains("hunter2"), "a secret is printed");
        }
    }

    private static String quoted(String value) {
        return value.startsWith("[") || value.startsWith("{") ? value : '"' + value + '"';
    }

    @Test
    void
            values_by_position_fill_the_parameters_of_value_types_in_order_and_none_may_be_left_over() {
        assertEquals(List.of(), told(check("{ class: Horn8, with: [x] }", Path.of(""))));
        List<String> left = told(check("{ class: Horn8, with: [x, y] }", Path.of("")));
        assertEquals(
                List.of("value-unfit: Horn8 has no parameter one more to give a value to."), left);
        List<String> missing = told(check("{ class: Horn8, with: { w: x } }", Path.of("")));
        assertEquals(2, missing.size(), missing.toString());
    }

    @Test
    void a_value_may_fill_a_slot_itself() {
        Situation it =
                Situation.of(
                        "class Desk { Desk(@jakarta.inject.Named(\"port\") int port, String name)"
                                + " {} }",
                        """
                        entry: [Desk]
                        profiles:
                          test:
                            bindings: { String: { value: "Gull" } }   # <- value-missing
                        """);
        assertEquals("value", it.received("test", "Desk.name"));
        assertEquals("unmet", it.received("test", "Desk.port"));
    }

    @Test
    void n91_settings_come_from_the_process_then_the_environment_then_the_files_in_order(
            @TempDir Path temp) throws IOException {
        assertEquals("of the process", SETTINGS.find("both").orElseThrow());
        Files.writeString(temp.resolve("a.properties"), "x = 1\n");
        Files.writeString(temp.resolve("b.properties"), "x = 2\ny = 3\n");
        String text = "patient-harbor: 1\nsettings: [a.properties, b.properties, c.properties]\n";
        ProfileSet file = ProfileFiles.parse(text.getBytes(StandardCharsets.UTF_8), "f", temp);
        assertEquals(Map.of("x", "1", "y", "3"), file.settings().files());
        Finding missing = file.findings().get(0);
        assertEquals("f:2:40 malformed-file", missing.at().text() + " " + missing.kind().id());
    }
}
