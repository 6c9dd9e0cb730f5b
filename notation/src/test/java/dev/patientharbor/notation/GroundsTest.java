package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.SuppressedFinding;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.testing.JavaCode;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** Why something is so that is not to stay; what is told, and how gravely. */
class GroundsTest {

    private static final String PORT =
            """
            interface Pager {} class Bell implements Pager {} class Quiet implements Pager {}
            interface Clock {}
            class Desk { Desk(Pager pager) {} }
            class Shed { Shed(Clock clock) {} }
            class Loft { Loft(@jakarta.inject.Named("night") Pager pager) {} }
            """;

    @Test
    void n92_a_swap_is_overdue_after_its_last_day_where_it_says_so() {
        Situation it =
                Situation.of(
                        PORT,
                        """
                        entry: [Desk]
                        profiles:
                          base:
                            partial: true
                            bindings:
                              Pager: { fake: Quiet, because: no mast, owner: quay team, until: 2026-11-24 }  # <- overdue
                          part: { extends: base, bindings: { Pager: { lifetime: fresh } } }
                          longer: { extends: base, bindings: { Pager: { until: 2026-11-25 } } }
                          longest: { extends: longer, bindings: { Pager: { owner: harbour office } } }
                          again: { extends: base, bindings: { Pager: { until: 2026-01-31 } } }  # <- overdue
                          replaced: { extends: base, bindings: { Pager: Bell } }
                          area: { extends: replaced, within: { Desk: { bindings: { Pager: { stub: Quiet, until: 2020-02-29 } } } } }  # <- overdue
                        """);
        it.tellsWhatIsMarked();
        assertTrue(it.verdict().complete("part"), "overdue is no reason not to run");
        assertEquals(
                List.of("because no mast", "owner quay team"),
                it.verdict().profiles().get(0).findings().get(0).details().stream()
                        .map(detail -> detail.label() + " " + detail.text())
                        .filter(detail -> !detail.startsWith("do "))
                        .toList());
        assertEquals(
                "The binding of Pager to Quiet was to end on 2026-01-31.",
                it.verdict().profiles().get(4).findings().get(0).message());
    }

    @Test
    void decision_14_and_n93_nothing_that_is_suppressed_makes_a_profile_complete() {
        Situation it =
                Situation.of(
                        PORT,
                        """
                        entry: [Desk, Shed, Loft]
                        profiles:
                          test: { bindings: { Pager: Bell, Pager@night: Bell, Pager@day: Bell } }   # <- unused-binding
                        severity: { unmet-need: note, unused-binding: error, shared-twice: warning }
                        suppress:
                          - { id: unmet-need, at: Clock, because: comes in spring, owner: quay, until: 2027-03-01 }
                          - { id: shared-twice, at: "f:5", because: known }
                        """);
        it.tellsWhatIsMarked();
        assertEquals(Severity.ERROR, it.finding("unused-binding").severity());
        assertFalse(it.verdict().complete("test"));
        assertTrue(it.verdict().hasAtLeast(Severity.ERROR));
        assertEquals(
                List.of("warning shared-twice known", "note unmet-need comes in spring"),
                it.verdict().profiles().get(0).suppressed().stream()
                        .map(GroundsTest::describe)
                        .sorted(java.util.Comparator.reverseOrder())
                        .toList());
    }

    private static String describe(SuppressedFinding suppressed) {
        return suppressed.finding().severity().word()
                + " "
                + suppressed.finding().kind().id()
                + " "
                + suppressed.by().grounds().because().orElseThrow();
    }

    @Test
    void a_suppression_names_what_is_found_and_ends_on_its_day() {
        String unmet = "entry: [Shed]\nprofiles: { test: {} }\nsuppress:\n";
        String[][] cases = {
            {"- { id: unmet-need, at: p.Clock, because: x }", ""},
            {"- { id: unmet-need, at: Shed, because: x }", ""},
            {"- { id: unmet-need, at: Clock, because: x, until: 2026-11-25 }", ""},
            {
                "- { id: unmet-need, at: Clock, because: x, until: 2026-11-24 }",
                "overdue unmet-need"
            },
            {"- { id: unmet-need, at: Clocks, because: x }", "suppresses-nothing unmet-need"},
            {"- { id: unused-binding, at: Clock, because: x }", "suppresses-nothing unmet-need"},
            {"- { id: unmet-need, at: Clock }", "malformed-file unmet-need"},
            {"- { id: unmet-need, because: x }", ""},
            {"- { at: Clock, because: x }", "malformed-file unmet-need"},
            {"- { id: unmet-need, at: Clock, because: }", "malformed-file unmet-need"},
            {"- { id: unmet-nee, at: Clock, because: x }", "unknown-word unmet-need"},
            {"- { id: unmet-need, at: Clock, because: x, til: 1 }", "unknown-word"},
            {"- { id: unmet-need, at: Clock, because: x, until: soon }", "malformed-file"},
            {
                "- { id: suppresses-nothing, at: nothing, because: x }",
                "suppresses-nothing unmet-need"
            },
        };
        for (String[] one : cases) {
            Situation it = Situation.of(PORT, unmet + one[0]);
            Set<String> ids = new TreeSet<>();
            it.told().forEach(told -> ids.add(told.substring(told.indexOf(' ') + 1)));
            assertEquals(one[1], String.join(" ", ids), one[0]);
            assertFalse(it.verdict().complete("test"), one[0]);
        }
        assertEquals(
                "Clock",
                Situation.of(PORT, unmet + "- { id: unmet-need, at: Clokc, because: x }")
                        .detail("suppresses-nothing", "did you mean"));
        assertEquals(
                "unmet-need",
                Situation.of(PORT, unmet + "- { id: unmet-nee, at: Clock, because: x }")
                        .detail("unknown-word", "did you mean"));
    }

    @Test
    void a_suppression_knows_a_key_with_a_blank_and_a_line_from_any_folder() {
        String file =
                """
                patient-harbor: 1
                packages: [p]
                entry: [Pier]
                profiles:
                  test: {}
                suppress:
                  - { id: unmet-need, at: "%s", because: x }
                """;
        Path classes =
                JavaCode.compile(
                        "package p;\n"
                                + PORT
                                + "class Pier { Pier(@jakarta.inject.Named(\"north pier\") Pager"
                                + " it) {} }");
        for (String at : List.of("Pager@\\\"north pier\\\"", "port.yaml:5", "./port.yaml:5")) {
            for (String from : List.of("port.yaml", "sub/port.yaml", "../sub/port.yaml")) {
                byte[] text = file.formatted(at).getBytes(StandardCharsets.UTF_8);
                assertEquals(
                        List.of(),
                        ProfileFiles.parse(text, from, Path.of(""))
                                .withCode(classes)
                                .check(Situation.TODAY)
                                .allFindings(),
                        at + " from " + from);
            }
        }
    }
}
