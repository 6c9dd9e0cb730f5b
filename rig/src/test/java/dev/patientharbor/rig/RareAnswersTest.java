package dev.patientharbor.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotSame;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;

/** What a rig answers where nothing can be had, after a failure, and once it is closed. */
class RareAnswersTest {

    private static final Yard YARD =
            Yard.of(
                    """
                    import java.util.*;
                    interface Gauge {} interface Vane {} interface Pump {} interface Bell {} interface Horn {}
                    record Sonar() implements Gauge {}
                    class Deep implements Pump { Deep(Vane vane) {} }
                    class Shy implements Bell {
                        static int asked;
                        Shy() { if (++asked == 1) throw new IllegalStateException("not yet"); }
                    }
                    class Turn implements Horn {}
                    record Desk(Gauge gauge, Optional<Gauge> there, Optional<Vane> absent) {}
                    record Board(int[] steps, String[] names, char[][] grid) {}
                    record Tower(Bell bell, Horn horn) {}
                    """,
                    """
                    entry: [Desk, Board, Tower]
                    profiles:
                      t:
                        bindings:
                          Gauge: Sonar
                          Vane: none
                          Pump: Deep
                          Bell: Shy
                          Horn: { class: Turn, lifetime: scoped }
                          Tower: { class: Tower, lifetime: scoped }
                          Board: { class: Board, with: { steps: [1, 2, 3], names: [], grid: [[a, b], [c]] } }
                    """);

    @Test
    void what_cannot_be_had_says_why_it_is_not_there() {
        try (Rig rig = YARD.rig("t")) {
            Map<String, String> expected =
                    Map.of(
                            "Vane",
                            "Vane cannot be made in t: it is bound to none",
                            "Pump",
                            "Pump cannot be made in t: it is bound, but no entry consumer leads to"
                                    + " it, and what it needs is not all there");
            expected.forEach(
                    (contract, message) ->
                            assertEquals(
                                    message,
                                    assertThrows(
                                                    RigException.class,
                                                    () -> rig.get(YARD.type(contract)))
                                            .getMessage()));
        }
    }

    @Test
    void what_may_be_absent_is_seen_through_to_what_is_in_it() {
        try (Rig rig = YARD.rig("t")) {
            Object gauge = rig.get(YARD.type("Gauge"));
            assertSame(gauge, rig.received(YARD.type("Desk"), "there").innermost());
            assertEquals(Optional.of(gauge), rig.maybe(YARD.type("Gauge")));
            assertEquals(Optional.empty(), rig.maybe(YARD.type("Vane")));
        }
    }

    @Test
    void values_may_be_arrays_of_any_length_and_depth() throws ReflectiveOperationException {
        try (Rig rig = YARD.rig("t")) {
            Object board = rig.get(YARD.type("Board"));
            StringBuilder text = new StringBuilder();
            for (var part : board.getClass().getRecordComponents()) {
                part.getAccessor().setAccessible(true);
                Object[] value = {part.getAccessor().invoke(board)};
                text.append(Arrays.deepToString(value));
            }
            assertEquals("[[1, 2, 3]][[]][[[a, b], [c]]]", text.toString());
        }
    }

    @Test
    void what_failed_once_may_be_asked_for_again_and_a_closed_rig_keeps_nobody_waiting() {
        Rig rig = YARD.rig("t");
        RigException failure = assertThrows(RigException.class, () -> rig.get(YARD.type("Bell")));
        assertTrue(failure.getMessage().contains("not yet"), failure.getMessage());
        assertSame(rig.get(YARD.type("Bell")), rig.get(YARD.type("Bell")));
        rig.close();
        rig.close();
        assertTimeoutPreemptively(
                Duration.ofSeconds(20),
                () ->
                        CompletableFuture.runAsync(
                                        () ->
                                                assertThrows(
                                                        RuntimeException.class,
                                                        () -> rig.get(YARD.type("Gauge"))))
                                .get());
    }

    @Test
    void a_scope_that_is_closed_gives_the_thread_back_to_the_one_around_it() {
        try (Rig rig = YARD.rig("t");
                Scope outer = rig.openScope()) {
            Object first = rig.get(YARD.type("Horn"));
            Scope inner = rig.openScope();
            assertNotSame(first, rig.get(YARD.type("Horn")));
            inner.close();
            assertSame(first, rig.get(YARD.type("Horn")));
            assertSame(first, outer.get(YARD.type("Horn")));
            assertThrows(RuntimeException.class, () -> inner.get(YARD.type("Horn")));
        }
    }
}
