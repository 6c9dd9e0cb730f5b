package dev.patientharbor.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.notation.RecordingFiles;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What a run really used, beside what the plan says. */
class UsageTest {

    private static final Yard YARD =
            Yard.of(
                    """
                    import java.util.function.Supplier;
                    interface Gauge { int level(); }
                    interface Horn { void blow(); }
                    interface Pump { int run(); }
                    class Sonar implements Gauge { public int level() { return 1; } }
                    class Replay implements Gauge { public int level() { return 2; } }
                    record Levelled(Gauge inner) implements Gauge {
                        public int level() { return inner.level() + 1; } }
                    class Note {}
                    record Desk(Gauge gauge, Horn horn, Supplier<Note> notes) {
                        public void work() {
                            Old.gauge = gauge; notes.get(); notes.get();
                            Runnable twice = new Runnable() { public void run() { gauge.level(); gauge.level(); } };
                            twice.run(); } }
                    record Crane(Gauge gauge, Pump pump) { public void lift() { gauge.level(); pump.run(); } }
                    class Old { static Gauge gauge; public void peek() { gauge.level(); } }
                    """,
                    """
                    entry: [Desk, Crane]
                    areas: { quay: { members: [Crane] } }
                    profiles:
                      t:
                        bindings:
                          Gauge: Sonar
                          Horn: mock
                          Pump: { stub: { run: 3 } }
                          Note: { class: Note, lifetime: fresh }
                          Old: Old
                        decorators: { Gauge: [spy, Levelled, spy] }
                        within: { quay: { bindings: { Gauge: { fake: Replay } } } }
                      split:
                        bindings:
                          Gauge: { stub: { level: 4 } }
                          Horn: mock
                          Pump: mock
                          Note: { class: Note, lifetime: fresh }
                        within: { quay: { decorators: { Gauge: [spy, Levelled] } } }
                    """);

    @Test
    void it_tells_what_was_made_how_often_it_was_called_and_by_whom_beyond_the_plan() {
        try (Rig rig = YARD.rig("t")) {
            assertEquals(0, rig.usage().lines().size() - rig.usage().notMade().size());
            Yard.call(rig.get(YARD.type("Desk")), "work");
            Yard.call(rig.get(YARD.type("Old")), "peek");
            assertEquals(
                    """
                    t: 5 of 8 were made
                      Crane                                                  not made
                      Desk                                                   made
                      Old                                                    made
                      Gauge              spy → Levelled → spy → real Sonar   made, 3 calls; called by Old, which does not receive it by the plan
                      Gauge within quay  spy → Levelled → spy → fake Replay  not made
                      Horn               mock                                made, 0 calls
                      Note               real Note                           made 2 times
                      Pump               stub                                not made\
                    """,
                    rig.usage().toString());
            Yard.call(rig.get(YARD.type("Crane")), "lift");
            rig.fresh(YARD.type("Crane"));
            RigUsage usage = rig.usage();
            assertEquals(0, usage.notMade().size());
            assertEquals(2, usage.lines().get(0).made(), "the crane, and a fresh one");
            assertEquals(
                    "[Gauge]",
                    usage.bypassed().stream().map(RigUsage.Line::place).toList().toString());
            assertEquals(
                    "Gauge within quay 1, Pump 1",
                    usage.lines().stream()
                            .filter(line -> line.calls().filter(it -> it == 1).isPresent())
                            .map(line -> line.place() + " 1")
                            .collect(Collectors.joining(", ")));
        }
    }

    @Test
    void what_lives_in_a_scope_is_counted_for_each_and_what_spies_and_stubs_both_see_once() {
        Yard yard =
                Yard.of(
                        """
                        import java.util.function.Supplier;
                        interface Gauge { int level(); }
                        class Watch { Watch(Gauge gauge) { this.gauge = gauge; } final Gauge gauge;
                            public int look() { return gauge.level(); } }
                        record Tower(Supplier<Watch> watch) {
                            public int look() { return watch.get().look(); } }
                        """,
                        """
                        entry: [Tower]
                        profiles:
                          t:
                            bindings:
                              Watch: { class: Watch, lifetime: scoped }
                              Gauge: { stub: { level: 4 } }
                            decorators: { Gauge: [spy] }
                        """);
        try (Rig rig = yard.rig("t")) {
            for (int turn = 0; turn < 3; turn++) {
                try (Scope scope = rig.openScope()) {
                    assertEquals(4, Yard.call(rig.get(yard.type("Tower")), "look"));
                    assertEquals(4, Yard.call(scope.get(yard.type("Tower")), "look"));
                }
            }
            assertEquals(
                    """
                    t: 3 of 3 were made
                      Tower              made
                      Gauge  spy → stub  made, 6 calls
                      Watch  real Watch  made 3 times\
                    """,
                    rig.usage().toString());
            assertEquals(6, rig.calls(yard.type("Gauge")).size(), "the spy's");
            assertEquals(12, rig.trace().calls().size(), "the spy's and the stub's");
        }
    }

    @Test
    void a_call_counts_once_where_an_area_stands_around_a_core_that_it_shares() {
        try (Rig rig = YARD.rig("split")) {
            Yard.call(rig.get(YARD.type("Desk")), "work");
            Yard.call(rig.get(YARD.type("Crane")), "lift");
            assertEquals(
                    """
                    Desk$1 → Gauge, stub: level() = 4
                    Desk$1 → Gauge, stub: level() = 4
                    Crane → Gauge, Levelled: level() = 5
                      Levelled → Gauge, stub: level() = 4
                    Crane → Pump, mock: run() = 0\
                    """,
                    rig.trace().toString());
            Class<?> gauge = YARD.type("Gauge");
            assertEquals(3, rig.calls(gauge).size());
            assertEquals(
                    "[4, 4, 5]",
                    rig.calls(gauge).stream()
                            .map(it -> it.answer().orElseThrow())
                            .toList()
                            .toString());
            String text = RecordingFiles.text("heard", List.of(), rig.recording(gauge));
            assertTrue(text.endsWith("          level:\n            answer: 4\n"), text);
        }
    }

    @Test
    void calls_are_those_of_one_slot_though_others_have_the_same_short_name() {
        Yard yard =
                Yard.of(
                        """
                        class East { public interface Gauge { int level(); } }
                        class West { public interface Gauge { int level(); } }
                        record Both(East.Gauge east, West.Gauge west) {}
                        """,
                        """
                        entry: [Both]
                        profiles:
                          t:
                            bindings:
                              East.Gauge: mock
                              West.Gauge: mock
                              East.Gauge@quay.low: mock
                              East.Gauge@bay.low: mock
                              East.Gauge@also: { same-as: East.Gauge@bay.low }
                        """);
        try (Rig rig = yard.rig("t")) {
            Class<?> east = yard.type("East$Gauge");
            Class<?> west = yard.type("West$Gauge");
            Yard.call(rig.get(east), "level");
            Yard.call(rig.get(east, "bay.low"), "level");
            Yard.call(rig.get(east, "also"), "level");
            assertEquals(
                    "[1, 0, 0, 2, 2]",
                    List.of(
                                    rig.calls(east).size(),
                                    rig.calls(west).size(),
                                    rig.calls(east, "quay.low").size(),
                                    rig.calls(east, "bay.low").size(),
                                    rig.calls(east, "also").size())
                            .toString());
            assertTrue(rig.trace().lines().get(1).contains(" → Gauge@bay.low, mock: level()"));
        }
    }

    @Test
    void who_calls_is_told_though_the_jdk_passes_the_call_on() {
        Yard yard =
                Yard.of(
                        """
                        interface Horn { void sound(String text); }
                        record Desk(Horn horn) { public void all() { java.util.List.of("a", "b").forEach(horn::sound); } }
                        """,
                        "entry: [Desk]\nprofiles: { t: { bindings: { Horn: mock } } }");
        try (Rig rig = yard.rig("t")) {
            Yard.call(rig.get(yard.type("Desk")), "all");
            assertEquals(
                    "[p.Desk, p.Desk]",
                    rig.calls(yard.type("Horn")).stream()
                            .map(call -> call.caller().orElse("?"))
                            .toList()
                            .toString());
            assertEquals(List.of(), rig.usage().bypassed());
        }
    }
}
