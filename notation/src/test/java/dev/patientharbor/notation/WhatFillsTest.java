package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import java.util.List;
import org.junit.jupiter.api.Test;

/** What classes of the code fill which slot, which do not, and what is said of those. */
class WhatFillsTest {

    private static final String MARKED =
            """
            import jakarta.inject.*;
            import java.util.*;
            import java.util.function.Supplier;
            interface Feed {}
            @Named("a") class A implements Feed {}
            @Named("b") class B implements Feed { @Inject B(@Named("a") Feed in) {} B(Feed one, int two) {} }
            @Named("c") class C implements Feed { @Inject C(@Named("c") Feed itself) {} }
            class Board { Board(Map<String, Feed> all, @Named("b") Feed b) {} }
            class Far { Far(@Named("c") Feed c) {} }
            interface Clock {}
            @Singleton class One implements Clock { @Inject One() {} One(Clock copy) {} }
            @Singleton class Two implements Clock {}
            class Desk { Desk(Clock clock) {} }
            class Maybe { Maybe(Optional<Clock> clock) {} }
            interface Fee {}
            class Tonnage implements Fee {}
            class Levy implements Fee { Levy(Supplier<Fee> inner) {} }
            class Booth { Booth(Fee fee) {} }
            interface Rota {}
            class Summer implements Rota {}
            class Winter implements Rota {}
            class Night { Night(Optional<Rota> rota) {} }
            """;

    @Test
    void only_members_in_use_and_only_the_very_slot_keep_a_marked_class_out() {
        Situation it =
                Situation.of(
                                MARKED,
                                """
                                fill-in: [marked]
                                entry: [Board]
                                profiles: { test: {} }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(List.of("A", "B"), it.members("test", "Board.all"), "C asks for itself");
        assertEquals("real B", it.received("test", "Board.b"));
        assertEquals("real A", it.received("test", "B.in"));
        Situation out =
                Situation.of(
                                MARKED,
                                """
                                fill-in: [marked]
                                entry: [Far]
                                profiles:
                                  test: {}   # <- unmet-need
                                """)
                        .tellsWhatIsMarked();
        assertEquals("C, which asks for it", out.detail("unmet-need", "left out"));
    }

    @Test
    void what_is_left_of_several_is_two_candidates_for_what_may_be_absent_too() {
        for (String entry : List.of("Desk", "Maybe")) {
            Situation it =
                    Situation.of(
                                    MARKED,
                                    "fill-in: [marked]\nentry: ["
                                            + entry
                                            + "]\nprofiles:\n  test: {}   # <- two-candidates\n")
                            .tellsWhatIsMarked();
            assertEquals("One, Two", it.detail("two-candidates", "classes"));
        }
        Situation sole =
                Situation.of(
                                MARKED,
                                """
                                fill-in: [sole]
                                entry: [Night, Booth]
                                profiles:
                                  test: {}   # <- two-candidates
                                """)
                        .tellsWhatIsMarked();
        assertEquals("Summer, Winter", sole.detail("two-candidates", "classes"));
        assertEquals("real Tonnage", sole.received("test", "Booth.fee"));
        assertEquals(List.of("p.Levy"), sole.row("test", "Booth.fee").answer().leftOut());
    }

    @Test
    void a_class_that_decorates_in_one_profile_fills_a_slot_in_another() {
        Situation it =
                Situation.of(
                                """
                                import jakarta.inject.*;
                                interface Feed {}
                                class Sea implements Feed {}
                                @Named("b") class Spare implements Feed { Spare(Feed inner) {} }
                                class Yard { Yard(@Named("b") Feed b) {} }
                                """,
                                """
                                fill-in: [marked]
                                entry: [Yard]
                                profiles:
                                  plain: { bindings: { Feed: Sea } }
                                  wrapped: { bindings: { Feed@b: Sea }, decorators: { Feed@b: [Spare] } }
                                  both:   # <- unmet-need
                                    decorators: { Feed@b: [Spare] }   # <- wraps-nothing
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Spare", it.received("plain", "Yard.b"));
        assertEquals("Spare > real Sea", it.received("wrapped", "Yard.b"));
        assertEquals("unmet", it.received("both", "Yard.b"), "it does not wrap itself");
    }

    @Test
    void fill_in_counts_type_arguments() {
        String code =
                """
                import java.util.*;
                interface Reader<T> {}
                class Ship {} class Crate {}
                class ShipReader implements Reader<Ship> {}
                class CrateReader implements Reader<Crate> { CrateReader(Reader<Ship> ships) {} }
                class Cached<T> implements Reader<T> { Cached(Reader<T> inner) {} }
                class Dock { Dock(Reader<Crate> crates, Reader<Ship> ships) {} }
                class Shelf { Shelf(List<Reader<?>> all, Map<String, Reader<?>> byKey) {} }
                """;
        Situation it =
                Situation.of(
                                code,
                                """
                                fill-in: [sole]
                                entry: [Dock]
                                profiles: { test: {} }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real CrateReader", it.received("test", "Dock.crates"));
        assertEquals("real ShipReader", it.received("test", "Dock.ships"));
        Situation open =
                Situation.of(
                                code,
                                """
                                entry: [Shelf]
                                profiles:
                                  test:
                                    bindings:
                                      Reader<Ship>@a: ShipReader
                                      Reader<Ship>: ShipReader
                                      Reader<Crate>@b: CrateReader
                                  twice:   # <- two-candidates
                                    bindings: { Reader<Ship>@a: ShipReader, Reader<Crate>@a: mock }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                List.of("ShipReader", "ShipReader", "CrateReader"),
                open.members("test", "Shelf.all"));
        assertEquals(List.of("ShipReader", "CrateReader"), open.members("test", "Shelf.byKey"));
    }

    @Test
    void a_marked_provider_comes_before_the_class_itself() {
        String code =
                """
                import jakarta.inject.*;
                import java.util.*;
                class Clock {}
                @Singleton class Clocks implements Provider<Clock> { public Clock get() { return null; } }
                @Named("text") class Greeting implements Provider<String> { public String get() { return ""; } }
                class Desk { Desk(Clock clock, @Named("text") String text, List<Clock> all) {} }
                """;
        Situation it =
                Situation.of(
                                code,
                                """
                                fill-in: [marked]
                                entry: [Desk]
                                profiles:
                                  test: {}
                                  bound: { bindings: { Clock: { fake: Clock } } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("factory Clocks#get", it.received("test", "Desk.clock"));
        assertEquals("factory Greeting#get", it.received("test", "Desk.text"));
        assertEquals(List.of("Clocks#get"), it.members("test", "Desk.all"));
        assertEquals("marked", it.row("test", "Desk.clock").answer().filledBy().get().word());
        assertEquals("fake Clock", it.received("bound", "Desk.clock"));
        assertEquals("Clocks", it.row("bound", "Desk.clock").answer().hides().get(0).supply());
    }

    @Test
    void a_decorated_slot_that_a_class_fills_stands_where_it_belongs() {
        Situation it =
                Situation.of(
                                """
                                import jakarta.inject.*;
                                import java.util.*;
                                interface Horn {} interface Gauge {}
                                class Brass implements Horn { Brass(Gauge gauge) {} }
                                class Sonar implements Gauge {}
                                class Bridge { Bridge(Horn horn, @Named("fog") Optional<Horn> fog, Gauge gauge) {} }
                                class Mast { Mast(Horn horn) {} }
                                """,
                                """
                                fill-in: [sole]
                                entry: [Bridge, Mast]
                                profiles:
                                  test:
                                    decorators: { Horn: [spy] }
                                    within: { Bridge: { bindings: { Gauge: mock } } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("spy > real Brass", it.received("test", "Bridge.horn"));
        assertEquals(it.instance("test", "Bridge.horn"), it.instance("test", "Mast.horn"));
        assertEquals("mock", it.received("test", "Bridge.gauge"));
        assertEquals(
                "real Sonar", it.received("test", "Brass.gauge"), "not with its asker's words");
    }

    @Test
    void in_a_collection_a_marked_class_is_as_its_slot_is_and_each_instance_is_there_once() {
        String code =
                """
                import jakarta.inject.*;
                import java.util.*;
                interface Feed {}
                @Singleton class Sea implements Feed {}
                class Mud implements Feed {}
                class Room { Room(List<Feed> all, Set<Feed> set) {} }
                class Desk { Desk(Feed feed) {} }
                """;
        Situation it =
                Situation.of(
                                code,
                                """
                                fill-in: [marked]
                                entry: [Room]
                                profiles:
                                  spied: { decorators: { Feed: [spy] } }
                                  keyed: { bindings: { Feed@a: Sea, Feed@b: Sea } }
                                  alias: { bindings: { Feed@a: Mud, Feed: { same-as: Feed@a } } }
                                  none: { bindings: { Feed@a: Mud, Feed: none } }
                                  listed: { bindings: { Feed@a: Mud, Feed: Mud } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(List.of("spy > real Sea"), it.members("spied", "Room.all"));
        for (String need : List.of("Room.all", "Room.set")) {
            assertEquals(List.of("Sea"), it.members("keyed", need));
            assertEquals(List.of("Mud"), it.members("alias", need));
            assertEquals(List.of("Mud"), it.members("none", need));
            assertEquals(List.of("Mud", "Mud"), it.members("listed", need));
        }
        Situation two =
                Situation.of(
                                code + "@Singleton class Sky implements Feed {}",
                                """
                                fill-in: [marked]
                                entry: [Room]
                                profiles:
                                  bare: {}
                                  spied: { decorators: { Feed: [spy] } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(List.of("Sea", "Sky"), two.members("bare", "Room.all"));
        assertEquals(List.of("spy > real Sea", "spy > real Sky"), two.members("spied", "Room.all"));
    }

    @Test
    void what_is_around_one_of_two_makes_two_objects_of_one_singleton() {
        Situation it =
                Situation.of(
                                """
                                import jakarta.inject.*;
                                interface Feed {}
                                @Singleton class Sea implements Feed {}
                                class Desk { Desk(@Named("a") Feed a, @Named("b") Feed b, @Named("c") Feed c) {} }
                                """,
                                """
                                entry: [Desk]
                                profiles:
                                  test: { bindings: { Feed@a: Sea, Feed@b: Sea, Feed@c: Sea }, decorators: { Feed@a: [spy] } }
                                """)
                        .tellsWhatIsMarked();
        assertNotEquals(it.instance("test", "Desk.a"), it.instance("test", "Desk.b"));
        assertEquals(it.instance("test", "Desk.c"), it.instance("test", "Desk.b"));
    }

    @Test
    void aliases_lead_where_they_say() {
        Situation it =
                Situation.of(
                                """
                                import jakarta.inject.*;
                                import java.util.*;
                                interface Feed {}
                                class Sea implements Feed {}
                                class AllFeeds implements Feed { AllFeeds(List<Feed> all) {} }
                                class Feeds { static Feed make() { return null; } static Object any() { return null; } }
                                class Desk { Desk(Feed feed) {} }
                                class Two { Two(@Named("coast") Feed coast, Feed feed) {} }
                                """,
                                """
                                entry: [Desk]
                                profiles:
                                  composite:
                                    bindings: { Feed@sea: Sea, Feed@all: AllFeeds, Feed: { same-as: Feed@all } }
                                  factory:
                                    bindings: { Feed@made: { factory: "Feeds#make" }, Feed: { same-as: Feed@made } }
                                  nothing:   # <- unmet-need
                                    bindings: { Feed@coast: none, Feed: { same-as: Feed@coast } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real AllFeeds", it.received("composite", "Desk.feed"));
        assertEquals(List.of("Sea"), it.members("composite", "AllFeeds.all"));
        assertEquals("factory Feeds#make", it.received("factory", "Desk.feed"));
        assertEquals(List.of("p.Desk"), it.finding("unmet-need").consumers());
    }

    @Test
    void nothing_in_any_wrapping_is_absent_and_what_may_not_be_is_told() {
        Situation.of(
                        """
                        import java.util.*;
                        import java.util.function.Supplier;
                        import jakarta.inject.*;
                        interface Feed {}
                        class Absent { Absent(Optional<Supplier<Feed>> a, Optional<Optional<Feed>> b, Supplier<Optional<Feed>> c,
                            Optional<List<Feed>> d, Optional<Supplier<List<Feed>>> e, Optional<Provider<Optional<Feed>>> f) {} }
                        class Late { Late(Supplier<Supplier<Feed>> a) {} }
                        class Empty { Empty(Supplier<List<Feed>> a) {} }
                        """,
                        """
                        entry: [Absent]
                        profiles:
                          test: {}
                        """)
                .tellsWhatIsMarked();
    }

    @Test
    void reach_by_slot_holds_in_whatever_the_need_wraps_it() {
        String code =
                """
                import java.util.*;
                import java.util.function.Supplier;
                interface Gauge {}
                class Sonar implements Gauge {}
                class Watch { Watch(Optional<Gauge> maybe, Supplier<Gauge> later, Gauge now) {} }
                class Look { Look(Optional<Gauge> gauge) {} }
                """;
        Situation it =
                Situation.of(
                                code,
                                """
                                entry: [Watch, Look]
                                areas: { quay: { members: [Watch] }, mole: { members: [Look] } }
                                profiles:
                                  test:
                                    bindings: { Gauge: Sonar }
                                    within:
                                      quay: { bindings: { Gauge: mock } }
                                      Watch: { reach: { Gauge: outside } }
                                      Look: { reach: { Gauge: own } }
                                  typo:
                                    extends: test
                                    within:
                                      Watch:
                                        reach:
                                          latter: own                  # <- limits-nothing
                                          String: own                  # <- limits-nothing
                                          now: { up-to: mole }         # <- unknown-area
                                      Look: { reach: { gauge: { up-to: mole } } }
                                      quay:
                                        reach: { Gauge: own }          # <- limits-nothing
                                """)
                        .tellsWhatIsMarked();
        for (String need : List.of("maybe", "later", "now")) {
            assertEquals("real Sonar", it.received("test", "Watch." + need));
        }
        assertEquals("absent", it.received("test", "Look.gauge"));
    }

    @Test
    void outside_leaves_the_whole_profile_to_a_consumer_that_is_in_no_area() {
        Situation it =
                Situation.of(
                                """
                                interface Gauge {}
                                class Sonar implements Gauge {}
                                class Watch { Watch(Gauge gauge) {} }
                                """,
                                """
                                entry: [Watch]
                                profiles:
                                  test:
                                    bindings: { Gauge: Sonar }
                                    within:
                                      Watch: { bindings: { Gauge: mock }, reach: { gauge: outside } }  # <- unused-binding
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Sonar", it.received("test", "Watch.gauge"));
    }
}
