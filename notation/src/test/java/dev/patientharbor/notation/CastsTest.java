package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Consumers that take what they receive for one class of several. */
class CastsTest {

    private static final String AROUND =
            """
            import java.util.*;
            interface Gauge { double level(); }
            abstract class Probe {}
            class Sonar extends Probe implements Gauge { public double level() { return 1; } void ping() {} }
            record Fixed(double level) implements Gauge { Fixed() { this(2); } }
            """;

    /** The body of the consumer Desk, and what it is told to take for what. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            textBlock =
                    """
                    Gauge g; Desk(Gauge g) { this.g = g; } void go() { ((Sonar) g).ping(); }                           | Gauge for a Sonar
                    Desk(Gauge g) { if (g instanceof Sonar s) s.ping(); }                                              | Gauge for a Sonar
                    Desk(Gauge g) { if (g instanceof Probe) g.level(); }                                               | Gauge for a Probe
                    Desk(Gauge g) { help(g); } static void help(Gauge g) { if (g instanceof Fixed) g.level(); }        | Gauge for a Fixed
                    Desk(List<Gauge> all) { for (Gauge g : all) if (g instanceof Sonar s) s.ping(); }                  | Gauge for a Sonar
                    Desk(Optional<Gauge> g) { g.ifPresent(each -> { if (each instanceof Sonar s) s.ping(); }); }       | Gauge for a Sonar
                    @jakarta.inject.Inject Gauge g; void go() { if (g instanceof Fixed) g.level(); }                   | Gauge for a Fixed
                    @jakarta.inject.Inject void set(Gauge g) { if (g instanceof Fixed) g.level(); }                    | Gauge for a Fixed
                    Gauge g; Desk(Gauge g) { this.g = g; } void go() { g.level(); }                                    | ``
                    Desk(Gauge g) { Object other = List.of(1); if (other instanceof Sonar s) s.ping(); g.level(); }    | ``
                    Desk(Gauge g) { if (g instanceof java.io.Closeable) g.level(); }                                   | ``
                    """)
    void are_told_in_a_note_with_the_place(String body, String expected) {
        Situation it =
                Situation.of(
                        AROUND + "class Desk {\n" + body + "\n}\n",
                        """
                        entry: [Desk]
                        profiles:
                          live: { bindings: { Gauge: Sonar } }
                          test: { bindings: { Gauge: { stub: Fixed } } }
                        """);
        List<String> told =
                it.verdict().allFindings().stream()
                        .filter(finding -> finding.kind().id().equals("cannot-swap"))
                        .map(finding -> finding.message())
                        .toList();
        assertEquals(
                expected.isEmpty()
                        ? List.of()
                        : List.of("Desk takes its " + expected + " (Desk.java:8)."),
                told.stream().map(text -> text.replaceAll("\\w+\\.java", "Desk.java")).toList());
    }
}
