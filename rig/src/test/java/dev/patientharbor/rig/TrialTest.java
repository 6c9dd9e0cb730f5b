package dev.patientharbor.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.patientharbor.finding.Finding;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A real build tells each thing that cannot be made, once, whoever asks for it, and no more. */
class TrialTest {

    private static final Yard YARD =
            Yard.of(
                    """
                    interface Gauge {} interface Clock {}
                    class Sonar implements Gauge { Sonar() { throw new IllegalStateException("no sonar"); } }
                    class Tide implements Gauge { Tide(java.util.List<String> never) {} }
                    class Makers { static Clock none() { return null; } static Object odd() { return "odd"; } }
                    class Stuck implements Clock, AutoCloseable {
                        public void close() { throw new IllegalStateException("stuck"); } }
                    record Desk(Gauge gauge, Clock clock) {}
                    record Hall(Gauge gauge) {}
                    record Sum(Clock clock) {}
                    """,
                    """
                    entry: [Desk, Hall]
                    profiles:
                      whole: { bindings: { Gauge: mock, Clock: { stub: {} } } }
                      threw: { extends: whole, bindings: { Gauge: Sonar, Clock: { factory: "Makers#none" } } }
                      stuck:
                        extends: whole
                        bindings: { Clock: Stuck, Sum: { class: Sum, lifetime: scoped } }
                    """);

    private static List<String> told(String profile) {
        return TrialBuild.of(YARD.plan(profile), YARD.type("Desk").getClassLoader()).stream()
                .map(TrialTest::text)
                .toList();
    }

    private static String text(Finding finding) {
        return finding.kind().id() + " " + finding.at().text() + " " + finding.message();
    }

    @Test
    void each_fault_once_and_nothing_of_what_could_be_made() {
        assertEquals(List.of(), told("whole"));
        assertEquals(
                List.of(
                        "build-failed f:6:40 No Gauge can be made in threw: the constructor of"
                                + " p.Sonar threw java.lang.IllegalStateException: no sonar.",
                        "build-failed f:6:54 No Clock can be made in threw: the factory"
                                + " p.Makers#none gave null."),
                told("threw"));
        assertEquals(
                List.of(
                        "build-failed p.Stuck 1 object could not be closed in the rig of stuck (all"
                                + " others were): p.Stuck threw java.lang.IllegalStateException:"
                                + " stuck."),
                told("stuck"));
    }
}
