package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Areas and single consumers as levels: where a need looks, and what it finds. */
class LevelsTest {

    private static final String PORT =
            """
            import jakarta.inject.*;
            interface Clock {}
            class Wall implements Clock {}
            class Stopped implements Clock {}
            class Slow implements Clock {}
            class Loud implements Clock { Loud(Clock inner) {} }
            interface Rota {}
            class Season implements Rota { Season(Clock clock) {} }
            class Paper implements Rota {}
            class Desk { Desk(Rota rota, Clock clock) {} }
            class Shed { Shed(Rota rota, Clock clock) {} }
            class Pier { Pier(Clock clock) {} }
            """;

    private static final String AREAS =
            """
            entry: [Desk, Shed]
            areas:
              quay: { members: [Shed, Pier] }
              crane: { inside: quay, members: [Shed] }
            """;

    @Test
    void n57_the_nearest_level_wins_and_each_level_has_an_instance_of_its_own() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                entry: [Desk, Shed, Pier]
                                areas:
                                  quay: { members: [Shed, Pier] }
                                  crane: { inside: quay, members: [Shed] }
                                profiles:
                                  test:
                                    bindings: { Rota: Season, Clock: Wall }
                                    within:
                                      quay: { bindings: { Clock: Stopped } }
                                  deeper:
                                    extends: test
                                    within:
                                      crane: { bindings: { Clock: { fake: Slow } } }
                                      Desk: { bindings: { Clock: mock } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Wall", it.received("test", "Desk.clock"));
        assertEquals("real Stopped", it.received("test", "Shed.clock"));
        assertEquals(it.instance("test", "Pier.clock"), it.instance("test", "Shed.clock"));
        assertNotEquals(it.instance("test", "Desk.clock"), it.instance("test", "Shed.clock"));
        assertEquals("mock", it.received("deeper", "Desk.clock"));
        assertEquals("fake Slow", it.received("deeper", "Shed.clock"));
        assertEquals("real Stopped", it.received("deeper", "Pier.clock"));
    }

    @Test
    void decision_1_a_supplied_object_starts_where_its_binding_stands_and_never_at_the_asker() {
        Situation it =
                Situation.of(
                                PORT,
                                AREAS
                                        + """
                                        profiles:
                                          shared:
                                            bindings: { Rota: Season, Clock: Wall }
                                            within: { crane: { bindings: { Clock: Stopped } } }
                                          own:
                                            extends: shared
                                            within: { crane: { bindings: { Rota: Season } } }
                                        """)
                        .tellsWhatIsMarked();
        assertEquals("real Wall", it.received("shared", "Season.clock"), "one rota, one clock");
        assertEquals(it.instance("shared", "Desk.rota"), it.instance("shared", "Shed.rota"));
        assertEquals(
                List.of("Season.clock: Clock = real Wall", "Season.clock: Clock = real Stopped"),
                it.all("own").stream().filter(row -> row.startsWith("Season")).toList());
        assertNotEquals(it.instance("own", "Desk.rota"), it.instance("own", "Shed.rota"));
    }

    @Test
    void decision_1_a_class_that_is_a_member_of_an_inner_area_starts_there() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                entry: [Desk]
                                areas: { tower: { members: [Season] } }
                                profiles:
                                  test:
                                    bindings: { Rota: Season, Clock: Wall }
                                    within: { tower: { bindings: { Clock: Stopped } } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Stopped", it.received("test", "Season.clock"));
        assertEquals("real Wall", it.received("test", "Desk.clock"));
    }

    @Test
    void decision_34_what_is_said_for_a_consumer_holds_for_its_own_needs_and_what_it_binds() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                entry: [Desk, Shed]
                                profiles:
                                  direct:
                                    bindings: { Rota: Season, Clock: Wall }
                                    within: { Desk: { bindings: { Clock: Stopped } } }
                                  bound:
                                    extends: direct
                                    within: { Desk: { bindings: { Rota: Season } } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Stopped", it.received("direct", "Desk.clock"));
        assertEquals("real Wall", it.received("direct", "Season.clock"));
        assertEquals("real Wall", it.received("direct", "Shed.clock"));
        assertEquals(
                List.of("Season.clock: Clock = real Wall", "Season.clock: Clock = real Stopped"),
                it.all("bound").stream().filter(row -> row.startsWith("Season")).toList());
    }

    @Test
    void
            n58_and_decision_32_reach_limits_where_a_need_looks_and_the_finding_says_where_it_would_be() {
        Situation it =
                Situation.of(
                        PORT + "class Lock { Lock(Clock inner, Clock outer, Clock free) {} }",
                        """
                        entry: [Lock]
                        areas:
                          quay: { members: [p.*] }
                          lock: { inside: quay, members: [Lock] }
                        profiles:
                          test:
                            bindings: { Clock: Wall }
                            within:
                              quay: { bindings: { Clock: Stopped } }
                              lock: { bindings: { Clock: { fake: Slow } } }
                              Lock: { reach: { inner: own, Clock: outside, free: nearest } }
                          bounded:
                            bindings: { Clock: Wall }
                            within:
                              quay: { bindings: { Clock: Stopped } }
                              Lock: { reach: { Clock: { up-to: lock }, outer: { up-to: quay }, inner: outside } }
                        """);
        assertEquals("fake Slow", it.received("test", "Lock.inner"));
        assertEquals("real Stopped", it.received("test", "Lock.outer"));
        assertEquals("fake Slow", it.received("test", "Lock.free"));
        assertEquals("real Stopped", it.received("bounded", "Lock.outer"));
        assertEquals("real Stopped", it.received("bounded", "Lock.inner"));
        assertEquals("unmet", it.received("bounded", "Lock.free"));
        assertEquals(
                "out of reach: bound for whole profile at f:15:17, bound for the area quay at"
                        + " f:17:27",
                it.detail("unmet-need", "reason"));
        assertEquals(
                "bounded (Lock alone, then the area lock)", it.detail("unmet-need", "looked in"));
    }

    @Test
    void decision_16_layers_belong_to_the_slot_at_every_level_and_an_area_may_change_them() {
        Situation it =
                Situation.of(
                                PORT,
                                AREAS
                                        + """
                                        profiles:
                                          test:
                                            bindings: { Rota: Paper, Clock: Wall }
                                            decorators: { Clock: [Loud] }
                                            within: { crane: { bindings: { Clock: Stopped } } }
                                          quiet:
                                            extends: test
                                            within: { crane: { decorators: { Clock: { drop: [Loud] } } } }
                                          only-layers:
                                            bindings: { Rota: Paper, Clock: Wall }
                                            within: { crane: { decorators: { Clock: [Loud] } } }
                                        """)
                        .tellsWhatIsMarked();
        assertEquals("Loud > real Stopped", it.received("test", "Shed.clock"));
        assertEquals("Loud > real Wall", it.received("quiet", "Desk.clock"));
        assertEquals("real Stopped", it.received("quiet", "Shed.clock"));
        assertEquals("Loud > real Wall", it.received("only-layers", "Shed.clock"));
        assertEquals("real Wall", it.received("only-layers", "Desk.clock"));
    }

    @Test
    void decision_17_every_key_of_a_contract_may_be_decorated_and_one_exempted() {
        Situation it =
                Situation.of(
                                """
                                import jakarta.inject.*;
                                interface Feed {}
                                class Coast implements Feed {} class Mud implements Feed {} class Sea implements Feed {}
                                class Cache implements Feed { Cache(Feed inner) {} }
                                class Alarm implements Feed { Alarm(Feed inner) {} }
                                class Desk { Desk(@Named("a") Feed a, @Named("b") Feed b, Feed plain) {} }
                                """,
                                """
                                entry: [Desk]
                                profiles:
                                  test:
                                    bindings: { Feed@a: Coast, Feed@b: Mud, Feed: Sea }
                                    decorators:
                                      Feed@*: [Cache]
                                      Feed@a: [Alarm]
                                      Feed@b: { drop: [Cache] }
                                  wrong:
                                    extends: test
                                    decorators:
                                      Feed: { drop: [Alarm] }     # <- drops-nothing
                                """)
                        .tellsWhatIsMarked();
        assertEquals("Cache > Alarm > real Coast", it.received("test", "Desk.a"));
        assertEquals("real Mud", it.received("test", "Desk.b"));
        assertEquals("Cache > real Sea", it.received("test", "Desk.plain"));
    }

    @Test
    void decision_19_an_alias_looks_from_the_asker_and_its_own_slot_means_the_next_level_out() {
        Situation it =
                Situation.of(
                                """
                                import jakarta.inject.*;
                                interface Feed {} class Coast implements Feed {}
                                class Desk { Desk(Feed plain, @Named("coast") Feed coast) {} }
                                class Shed { Shed(Feed plain, @Named("coast") Feed coast) {} }
                                """,
                                """
                                entry: [Desk, Shed]
                                areas: { crane: { members: [Shed] } }
                                profiles:
                                  test:
                                    bindings: { Feed@coast: Coast, Feed: { same-as: Feed@coast } }
                                    within: { crane: { bindings: { Feed@coast: mock } } }
                                  out:
                                    bindings: { Feed@coast: Coast, Feed: { same-as: Feed@coast } }
                                    within: { crane: { bindings: { Feed: { same-as: Feed } } } }
                                  circle:
                                    bindings: { Feed@coast: Coast, Feed: { same-as: Feed } }  # <- cycle
                                """)
                        .tellsWhatIsMarked();
        assertEquals("mock", it.received("test", "Shed.plain"));
        assertEquals(it.instance("test", "Shed.plain"), it.instance("test", "Shed.coast"));
        assertEquals("real Coast", it.received("test", "Desk.plain"));
        assertEquals("real Coast", it.received("out", "Shed.plain"));
    }

    @Test
    void areas_and_places_that_do_not_exist_or_overlap_are_told() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                entry: [Desk, Shed]
                                areas:
                                  quay: { members: [Desk, p.Shed] }
                                  crane: { inside: quai, members: [Dock] }   # <- unknown-area, unknown-class
                                  tower: { members: [Shed] }                 # <- areas-overlap
                                  a: { inside: b, members: [] }              # <- unknown-area
                                  b: { inside: a, members: [] }
                                profiles:
                                  test:
                                    bindings: { Rota: Season, Clock: Wall }
                                    within:
                                      krane: { bindings: { Clock: Wall } }   # <- unknown-area
                                      Desk: { reach: { Clock: { up-to: key } } }  # <- unknown-area
                                """)
                        .tellsWhatIsMarked();
        assertTrue(it.finding("areas-overlap").message().contains("quay and tower"));
    }

    @Test
    void n85_a_child_removes_what_it_inherits_and_fills_what_a_parent_leaves_open() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                entry: [Pier]
                                profiles:
                                  base: { partial: true, bindings: { Clock: to-fill, Rota: Paper } }  # <- unused-binding
                                  filled: { extends: base, bindings: { Clock: Wall, Rota: removed } }
                                  open: { extends: base }                       # <- unmet-need
                                  nothing: { bindings: { Clock: Wall, Rota: removed } }  # <- nothing-to-change
                                  gone:                                         # <- unmet-need
                                    extends: filled
                                    bindings: { Clock: removed }
                                  again: { extends: gone, bindings: { Clock: Slow } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Slow", it.received("again", "Pier.clock"));
    }
}
