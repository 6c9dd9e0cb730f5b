package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.patientharbor.testing.JavaCode;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Stubs without a class: their answers are held against the contract. */
class CannedAnswersTest {

    private static Path classes;

    @BeforeAll
    static void compile() {
        classes =
                JavaCode.compile(
                        """
                        package p;
                        import java.util.*;
                        import java.util.concurrent.*;
                        import java.util.stream.*;
                        enum Zone { COAST, SEA }
                        record Ship(String name, int tons) {}
                        interface Source<T> { T one(); List<T> all(int most) throws java.io.IOException; }
                        interface Gauge extends Source<Ship> {
                            double level();
                            int at(String where, int hour);
                            int at(Zone where);
                            void ring(String text);
                            Optional<String> name();
                            CompletionStage<Zone> later();
                            Stream<Double> levels();
                            Map<Zone, List<Ship>> berths();
                            Object any();
                            Ship[] fleet();
                            Gauge other();
                            static Gauge none() { return null; }
                            default long count() { return 0; }
                        }
                        interface Base { int size(); default int fixed() { return 1; } }
                        class Desk { Desk(Gauge gauge, Base base) {} }
                        """);
    }

    private static List<String> told(String gauge, String base) {
        return Situation.of(
                        classes,
                        "entry: [Desk]\nprofiles:\n  test:\n    bindings:\n      Gauge: { stub: { "
                                + gauge
                                + " } }\n      Base: { stub: { "
                                + base
                                + " } }\n")
                .verdict()
                .allFindings()
                .stream()
                .map(finding -> finding.kind().id() + ": " + finding.message())
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            textBlock =
                    """
                    level: 2.40 |
                    level: high                                 | answer-unfit: level returns double, and high is none.
                    level: [1, 2]                               | answer-unfit: level returns double, and [1, 2] is none.
                    level: { answers: [1, 2.5] } |
                    level: { answers: [1, low] }                | answer-unfit: level returns double, and low is none.
                    level: [{ answer: 1 }, { answer: x }]       | answer-unfit: level returns double, and x is none.
                    leval: 2                                    | answer-unfit: Gauge has no method leval.
                    count: 3 |
                    none: 3                                     | answer-unfit: Gauge has no method none.
                    one: { name: Petrel, tons: 3 } |
                    one: { name: Petrel }                       | answer-unfit: one returns Ship, and {name: Petrel} is none.
                    all: [{ name: Petrel, tons: 3 }] |
                    all: { given: [3], answer: [] } |
                    all: { given: [3, 4], answer: [] }          | answer-unfit: Here are 2 arguments for all, and it does not take so many.
                    all: { given: [few], answer: [] }           | answer-unfit: all takes int, and few is none.
                    all: { given: [3], answer: Petrel }         | answer-unfit: all returns List<Ship>, and Petrel is none.
                    at: { given: [coast, 3], answer: 4 } |
                    at: { given: [COAST], answer: 4 } |
                    at: { given: [coast], answer: 4 }           | answer-unfit: at takes Zone, and coast is none.
                    at: 4 |
                    ring: { fails: IllegalStateException, saying: no bell } |
                    ring: ding                                  | answer-unfit: ring returns nothing, so it can give no answer.
                    name: Petrel |
                    later: SEA |
                    later: LAND                                 | answer-unfit: later returns CompletionStage<Zone>, and LAND is none.
                    levels: [1, 2] |
                    levels: 1                                   | answer-unfit: levels returns Stream<Double>, and 1 is none.
                    berths: { SEA: [{ name: Petrel, tons: 3 }] } |
                    berths: { LAND: [] }                        | answer-unfit: berths returns Map<Zone,List<Ship>>, and LAND is none.
                    any: whatever |
                    fleet: [{ name: Petrel, tons: 3 }] |
                    other: mock                                 | answer-unfit: other returns Gauge, and mock is none.
                    all: { fails: java.io.IOException } |
                    all: { fails: java.io.FileNotFoundException } |
                    one: { fails: java.io.IOException }         | answer-unfit: one does not declare java.io.IOException, so it can never throw it.
                    one: { fails: Ship }                        | answer-unfit: Ship is no exception, so nothing can fail with it.
                    one: { fails: NoSuchFault }                 | unknown-class: No class NoSuchFault is on the code path.
                    level: "${NO_SUCH}"                         | value-missing: level: the setting NO_SUCH is not set.
                    level: { answer: 1, answers: [2] }          | malformed-file: A case of level answers in two ways.
                    level: { answers: [] }                      | malformed-file: A case of level has no answer.
                    level: { given: [] }                        | malformed-file: A case of level has no answer.
                    """)
    void n44_and_3_5_an_answer_must_be_one_that_the_contract_can_take(
            String answers, String finding) {
        assertEquals(
                finding == null ? List.of() : List.of(finding), told(answers, "size: 3, fixed: 2"));
    }

    @Test
    void
            a_canned_stub_is_a_stand_in_without_a_class_and_its_answers_count_when_parents_are_held_up() {
        Situation it =
                Situation.of(
                                classes,
                                """
                                entry: [Desk]
                                profiles:
                                  a: { bindings: { Gauge: { stub: { level: 1 } }, Base: { stub: { size: 1 } } } }
                                  b: { bindings: { Gauge: { stub: { level: 1 } }, Base: { stub: { size: 2 } } } }
                                  both: { extends: [a, b] }         # <- parents-disagree
                                """)
                        .tellsWhatIsMarked();
        assertEquals("Base", it.finding("parents-disagree").cause());
        assertEquals("stub", it.received("a", "Desk.gauge"));
        assertEquals("shared by default", it.lifetime("a", "Desk.gauge"));
    }
}
