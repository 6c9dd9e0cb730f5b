package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.plan.RosterRow;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a need may wrap its contract in: absent, deferred, all variants. */
class CarriersTest {

    private static final String FEEDS =
            """
            import jakarta.inject.*;
            import java.util.*;
            import java.util.function.Supplier;
            interface Feed {}
            class Coast implements Feed {} class Mud implements Feed {} class Sea implements Feed {}
            class Calm implements Feed {}
            class Cache implements Feed { Cache(Feed inner) {} }
            interface Gauge {}
            class Sonar implements Gauge {}
            """;

    private static final String BOUND =
            "profiles: { test: { bindings: { Feed@a: Coast, Feed@b: Mud, Feed: { same-as: Feed@a },"
                    + " Gauge: Sonar } } }\n";

    private static List<String> elements(Situation it, String profile, String need) {
        RosterRow row = it.row(profile, need);
        return row.answer().elements().stream()
                .map(
                        element ->
                                element.key().map(key -> key.written() + " ").orElse("")
                                        + element.answer().decorators().stream()
                                                .map(name -> it.verdict().shortName(name) + " > ")
                                                .reduce("", String::concat)
                                        + element.answer().kind().word()
                                        + element.answer()
                                                .implementation()
                                                .map(name -> " " + it.verdict().shortName(name))
                                                .orElse(""))
                .toList();
    }

    @Test
    void a_variable_stands_for_its_bound_in_every_wrapping() {
        Situation it =
                Situation.of(
                        FEEDS
                                + """
                                class Box<T extends Feed> {
                                    Box(T one, List<T> all, T[] array, Supplier<T[]> later, Map<String, T> byKey) {}
                                }
                                class Desk {
                                    <T extends Feed> Desk(T one, List<T> all) {}
                                    @Inject <S extends Feed> void put(S set) {}
                                }
                                class Hall<K extends Feed> { class In { In(K one, List<K> all) {} @Inject <T extends K> void put(T own) {} } }
                                class Chain<T extends S, S extends Feed> { Chain(T one, List<? extends T> all) {} }
                                """,
                        "entry: [Box, Desk, Hall.In, Chain]\n" + BOUND);
        for (String all :
                List.of(
                        "Box.all",
                        "Box.array",
                        "Box.later",
                        "Box.byKey",
                        "Desk.all",
                        "Hall.In.all",
                        "Chain.all")) {
            assertEquals(
                    List.of("a real Coast", "b real Mud"),
                    elements(it, "test", all).subList(0, 2),
                    all);
        }
        for (String one :
                List.of(
                        "Box.one",
                        "Desk.one",
                        "Desk.set",
                        "Hall.In.one",
                        "Hall.In.own",
                        "Chain.one")) {
            assertEquals("real Coast", it.received("test", one), one);
        }
        assertTrue(it.verdict().complete("test"), it.verdict().toString());
    }

    @Test
    void decision_4_a_row_has_the_contract_inside_and_the_wrapping_around_it() {
        Situation it =
                Situation.of(
                        FEEDS
                                + """
                                enum Zone { a, b }
                                class Desk {
                                    Desk(Optional<Gauge> maybe, Supplier<Gauge> later, Provider<Gauge> ask,
                                        javax.inject.Provider<Gauge> old, List<Feed> all,
                                        Map<String, Supplier<Feed>> byName, Map<Zone, Feed> byZone,
                                        Feed[] array, Optional<List<Feed>> some, Set<? extends Feed> wild,
                                        Iterable<Provider<Feed>> lazy, @Named("b") Supplier<Feed> keyed) {}
                                }
                                """,
                        "entry: [Desk]\n" + BOUND);
        it.tellsWhatIsMarked();
        assertEquals(
                List.of(
                        "maybe p.Gauge Optional real",
                        "later p.Gauge Supplier real",
                        "ask p.Gauge Provider real",
                        "old p.Gauge Provider real",
                        "all p.Feed List collection",
                        "byName p.Feed Map<String,Supplier> collection",
                        "byZone p.Feed Map<Zone> collection",
                        "array p.Feed [] collection",
                        "some p.Feed Optional<List> collection",
                        "wild p.Feed Set collection",
                        "lazy p.Feed Iterable<Provider> collection",
                        "keyed p.Feed@b Supplier real"),
                it.verdict().roster("test").rows().stream()
                        .map(
                                row ->
                                        row.need()
                                                + " "
                                                + row.slot().text()
                                                + " "
                                                + row.carrier().orElse("none")
                                                + " "
                                                + row.answer().kind().word())
                        .toList());
        assertEquals(List.of("a real Coast", "b real Mud"), elements(it, "test", "Desk.all"));
        assertEquals(List.of("a real Coast", "b real Mud"), elements(it, "test", "Desk.byZone"));
        assertEquals(List.of("a real Coast", "b real Mud"), elements(it, "test", "Desk.byName"));
    }

    @Test
    void n22_and_decision_11_a_collection_is_in_order_and_a_replaced_variant_keeps_its_place() {
        Situation it =
                Situation.of(
                                FEEDS
                                        + "class Desk { Desk(List<Feed> all) {} } class Shed {"
                                        + " Shed(List<Feed> all) {} }",
                                """
                                entry: [Desk, Shed]
                                areas: { crane: { members: [Shed] } }
                                profiles:
                                  base:
                                    bindings: { Feed@c: Coast, Feed@a: Mud, Feed@b: Sea }
                                    decorators: { Feed@b: [Cache] }
                                  child: { extends: base, bindings: { Feed@d: { stub: Calm }, Feed@a: { stub: Calm } } }
                                  again:
                                    extends: child
                                    bindings: { Feed@c: removed }
                                    within: { crane: { bindings: { Feed@e: Mud, Feed@b: mock } } }
                                  last: { extends: again, bindings: { Feed@c: Coast, Feed: none } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                List.of("c real Coast", "a real Mud", "b Cache > real Sea"),
                elements(it, "base", "Desk.all"));
        assertEquals(
                List.of("c real Coast", "a stub Calm", "b Cache > real Sea", "d stub Calm"),
                elements(it, "child", "Desk.all"));
        assertEquals(
                List.of("a stub Calm", "b Cache > real Sea", "d stub Calm"),
                elements(it, "again", "Desk.all"));
        assertEquals(
                List.of("a stub Calm", "b Cache > mock", "d stub Calm", "e real Mud"),
                elements(it, "again", "Shed.all"));
        assertEquals(
                List.of("a stub Calm", "b Cache > real Sea", "d stub Calm", "c real Coast"),
                elements(it, "last", "Desk.all"));
    }

    @Test
    void decision_10_an_alias_is_in_a_map_under_its_own_key_and_in_a_list_only_once() {
        Situation it =
                Situation.of(
                                FEEDS
                                        + "class Desk { Desk(List<Feed> all, Map<String, Feed>"
                                        + " byKey) {} }",
                                """
                                entry: [Desk]
                                profiles:
                                  test:
                                    bindings: { Feed: Sea, Feed@a: Coast, Feed@z: { same-as: Feed@a }, Feed@n: none }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(List.of("real Sea", "a real Coast"), elements(it, "test", "Desk.all"));
        assertEquals(List.of("a real Coast", "z real Coast"), elements(it, "test", "Desk.byKey"));
    }

    @Test
    void n28_what_may_be_absent_is_absent_by_permission_and_a_required_need_never_is() {
        Situation it =
                Situation.of(
                                FEEDS
                                        + """
                                        class Engine {}
                                        class Desk {
                                            Desk(Optional<Feed> feed, Optional<Engine> engine, Optional<List<Feed>> all) {}
                                        }
                                        class Strict { Strict(Feed feed) {} }
                                        """,
                                """
                                entry: [Desk]
                                profiles:
                                  bare: {}
                                  bound: { bindings: { Feed: Coast } }
                                  none: { bindings: { Feed: none } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("absent", it.received("bare", "Desk.feed"));
        assertEquals("real Engine", it.received("bare", "Desk.engine"), "decision 24");
        assertEquals("absent", it.received("bare", "Desk.all"), "decision 12");
        assertEquals("real Coast", it.received("bound", "Desk.feed"));
        assertEquals("absent", it.received("none", "Desk.feed"));
        Situation strict =
                Situation.of(
                                FEEDS + "class Strict { Strict(Feed feed) {} }",
                                """
                                entry: [Strict]
                                profiles:
                                  none: { bindings: { Feed: none } }   # <- unmet-need
                                """)
                        .tellsWhatIsMarked();
        assertTrue(strict.detail("unmet-need", "reason").startsWith("bound to none at f:5"));
    }

    @Test
    void decision_12_a_collection_without_a_member_is_told_unless_the_file_allows_it() {
        String java = FEEDS + "class Desk { Desk(List<Feed> feeds, Map<String, Gauge> gauges) {} }";
        Situation.of(
                        java,
                        """
                        entry: [Desk]
                        profiles:
                          test: { bindings: { Gauge: Sonar } }   # <- empty-collection, unused-binding
                        """)
                .tellsWhatIsMarked();
        Situation.of(
                        java,
                        """
                        entry: [Desk]
                        may-be-empty: [Feed, Gauge]
                        profiles:
                          test: {}
                        """)
                .tellsWhatIsMarked();
    }

    @Test
    void decision_28_deferred_needs_are_checked_and_break_a_cycle_while_collections_do_not() {
        String java =
                """
                import java.util.*;
                import java.util.function.Supplier;
                interface A {} interface B {}
                class Now implements A { Now(B b) {} }
                class Later implements B { Later(Supplier<A> a) {} }
                class Listing implements B { Listing(List<A> all) {} }
                class Maybe implements B { Maybe(Optional<A> a) {} }
                class Lost implements B { Lost(Supplier<Missing> missing) {} }
                interface Missing {}
                class Desk { Desk(A a) {} }
                """;
        Situation.of(
                        java,
                        """
                        entry: [Desk]
                        profiles:
                          fine: { bindings: { A: Now, B: Later } }
                          listed: { bindings: { A: Now, B: Listing } }   # <- cycle
                          maybe: { bindings: { A: Now, B: Maybe } }      # <- cycle
                          lost:
                            bindings: { A: Now, B: Lost }                # <- unmet-need
                        """)
                .tellsWhatIsMarked();
    }

    @Test
    void decision_35_a_wrapping_that_is_itself_bound_is_used_as_it_is_bound() {
        Situation it =
                Situation.of(
                                FEEDS
                                        + """
                                        class Tides implements Supplier<Gauge> { public Gauge get() { return null; } }
                                        class Desk { Desk(Supplier<Gauge> gauge, List<Gauge> all) {} }
                                        """,
                                """
                                entry: [Desk]
                                areas: { crane: { members: [Desk] } }
                                profiles:
                                  test:
                                    bindings: { java.util.function.Supplier<Gauge>: Tides, java.util.List<Gauge>: mock }
                                    within: { crane: { bindings: { Gauge: Sonar } } }   # <- unused-binding
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Tides", it.received("test", "Desk.gauge"));
        assertEquals("mock", it.received("test", "Desk.all"));
        assertEquals(
                "java.util.function.Supplier<p.Gauge>", it.row("test", "Desk.gauge").slot().text());
        assertTrue(it.row("test", "Desk.gauge").carrier().isEmpty());
    }

    @Test
    void decision_27_a_list_of_values_is_a_missing_value_and_no_collection() {
        Situation it =
                Situation.of(
                        FEEDS
                                + "class Desk { Desk(List<String> names, Map<String,"
                                + " java.time.Duration> times) {} }",
                        "entry: [Desk]\nprofiles: { test: {} }\n");
        assertEquals(
                List.of("value-missing"),
                it.verdict().allFindings().stream().map(finding -> finding.kind().id()).toList());
    }
}
