package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.testing.JavaCode;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** Class names as people write them. */
class NamesTest {

    private static final Path CODE =
            JavaCode.compile(
                    """
                    package p;
                    public interface Gauge {}
                    package p;
                    public class Tower {
                        public static class Sonar implements Gauge {}
                        public class Inner implements Gauge {}
                    }
                    package q;
                    public interface Gauge {}
                    package q;
                    public class Sonar implements p.Gauge, Runnable { public void run() {} }
                    package p;
                    public class Desk { public Desk(Gauge gauge, Runnable task) {} }
                    """);

    @Test
    void a_name_is_looked_up_in_full_then_in_the_packages_then_in_java_lang() {
        Situation it =
                Situation.of(
                                CODE,
                                """
                                entry: [Desk]
                                profiles:
                                  nested: { bindings: { Gauge: Tower.Sonar, Runnable: q.Sonar } }
                                  binary: { bindings: { p.Gauge: p.Tower$Sonar, java.lang.Runnable: mock } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Tower.Sonar", it.received("nested", "Desk.gauge"));
        assertEquals("real Sonar", it.received("nested", "Desk.task"));
        assertEquals("real Tower.Sonar", it.received("binary", "Desk.gauge"));
        assertEquals("p.Gauge", it.verdict().shortName("p.Gauge"), "two of that simple name");
    }

    @Test
    void names_that_nothing_answers_to_are_told_wherever_they_stand() {
        Situation it =
                Situation.of(
                        CODE,
                        """
                        entry: [Desk, Dusk]                              # <- unknown-entry
                        areas: { a: { members: [Deks] } }                # <- unknown-class
                        profiles:
                          test:
                            bindings:
                              Gauge: Tower.Sonra                         # <- unknown-class
                              Guage: Tower.Sonar                         # <- unknown-class
                              Runnable: { same-as: Runable }             # <- unknown-class
                            decorators:
                              Gauge: [Loud]                              # <- unknown-class
                              Gague: [Tower.Sonar]                       # <- unknown-class
                        """);
        it.tellsWhatIsMarked();
        assertTrue(it.detail("unknown-entry", "did you mean").contains("Desk"));
    }

    @Test
    void an_inner_class_that_needs_its_outer_object_asks_for_it() {
        Situation it =
                Situation.of(
                                CODE,
                                """
                                entry: [Desk]
                                profiles:
                                  test: { bindings: { Gauge: Tower.Inner, Runnable: mock } }
                                """)
                        .tellsWhatIsMarked();
        assertTrue(it.all("test").toString().contains("Tower.Inner."), it.all("test").toString());
    }
}
