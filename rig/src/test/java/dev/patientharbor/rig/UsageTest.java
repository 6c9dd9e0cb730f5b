package dev.patientharbor.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;

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
            Usage usage = rig.usage();
            assertEquals(0, usage.notMade().size());
            assertEquals(2, usage.lines().get(0).made(), "the crane, and a fresh one");
            assertEquals(
                    "[Gauge]",
                    usage.bypassed().stream().map(Usage.Line::place).toList().toString());
            assertEquals(
                    "Gauge within quay 1, Pump 1",
                    usage.lines().stream()
                            .filter(one -> one.calls().filter(it -> it == 1).isPresent())
                            .map(one -> one.place() + " 1")
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
            assertEquals(12, rig.calls(yard.type("Gauge")).size(), "the spy's and the stub's");
        }
    }
}
