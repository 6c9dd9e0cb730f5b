package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.finding.Severity;
import java.util.List;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** How long things live, what said so, and what outlives what. */
class LifetimesTest {

    private static final String PORT =
            """
            import jakarta.inject.*;
            import java.lang.annotation.*;
            import java.util.*;
            import java.util.function.Supplier;
            @Scope @Retention(RetentionPolicy.RUNTIME) @interface PerTide {}
            interface Book {} @PerTide class Tally implements Book {} class Plain implements Book {}
            class Heir extends Tally {}
            interface Gauge {} @Singleton class Sonar implements Gauge {}
            class Loud implements Gauge { Loud(Gauge inner, Book book) {} }
            class Desk { Desk(Book book, Gauge gauge) {} }
            class Shed { Shed(Supplier<Book> book, Gauge gauge) {} }
            """;

    @Test
    void n30_and_6_1_the_binding_decides_then_the_mark_then_the_profile_then_the_file() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                entry: [Shed]
                                default-lifetime: scoped
                                marks: { scope: { PerTide: fresh } }
                                profiles:
                                  bound: { bindings: { Book: { class: Tally, lifetime: shared }, Gauge: mock } }
                                  marked: { bindings: { Book: Tally, Gauge: Sonar } }
                                  heir: { lifetime: shared, bindings: { Book: Heir, Gauge: Sonar } }
                                  child: { extends: heir, eager: true }
                                  usual: { bindings: { Book: Plain, Gauge: Sonar } }
                                  torn: { extends: [heir, fresh], bindings: { Book: Plain } }    # <- parents-disagree
                                  fresh: { lifetime: fresh, extends: usual }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("shared by the binding", it.lifetime("bound", "Shed.book"));
        assertEquals("fresh by its mark", it.lifetime("marked", "Shed.book"));
        assertEquals("shared by its mark", it.lifetime("marked", "Shed.gauge"));
        assertEquals("shared by the profile", it.lifetime("heir", "Shed.book"));
        assertEquals("shared by the profile", it.lifetime("child", "Shed.book"));
        assertEquals("scoped by default", it.lifetime("usual", "Shed.book"));
        assertTrue(it.verdict().roster("child").eager());
        assertFalse(it.verdict().roster("heir").eager());
        assertEquals("lifetime", it.finding("parents-disagree").cause());
    }

    @Test
    void
            n35_created_at_the_start_or_when_first_needed_is_a_word_of_the_profile_that_is_inherited() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                entry: [Shed]
                                marks: { scope: { PerTide: scoped } }
                                profiles:
                                  eager: { eager: true, bindings: { Book: Tally, Gauge: Sonar } }
                                  heir: { extends: eager }
                                  lazy: { extends: heir, eager: false }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                List.of(true, true, false),
                List.of("eager", "heir", "lazy").stream()
                        .map(name -> it.verdict().roster(name).eager())
                        .toList());
    }

    @Test
    void decision_13_scoped_in_shared_is_an_error_and_fresh_in_shared_a_note() {
        Situation it =
                Situation.of(
                                PORT + "class Hall { Hall(List<Book> books) {} }",
                                """
                                entry: [Desk, Shed, Hall]
                                marks: { scope: { PerTide: scoped } }
                                profiles:
                                  scoped: { bindings: { Gauge: mock, Book: Tally } }   # <- outlives
                                  fresh:
                                    bindings:
                                      Gauge: mock
                                      Book: { class: Plain, lifetime: fresh }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                List.of("p.Desk", "p.Hall"),
                it.verdict().profiles().get(0).findings().get(0).consumers());
        assertTrue(it.verdict().complete("scoped"), "all is met and can be built");
        assertTrue(it.noted().contains("10 outlives"), it.noted().toString());
    }

    @Test
    void decision_13_what_is_asked_for_later_is_not_held_and_a_decorator_lives_as_what_it_wraps() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                entry: [Shed]
                                marks: { scope: { PerTide: scoped } }
                                profiles:
                                  later: { bindings: { Gauge: mock, Book: Tally } }
                                  wrapped:
                                    bindings:
                                      Gauge: { class: Sonar, lifetime: scoped }   # <- outlives
                                      Book: Tally
                                    decorators: { Gauge: [Loud] }
                                  around:
                                    bindings:
                                      Gauge: Sonar
                                      Book: Tally                                 # <- outlives
                                    decorators: { Gauge: [Loud] }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("scoped by its mark", it.lifetime("later", "Shed.book"));
        assertEquals(it.instance("later", "Shed.book"), it.instance("later", "Shed.book"));
    }

    @Test
    void a_scope_mark_without_a_meaning_is_told_with_those_that_carry_it() {
        Situation it =
                Situation.of(
                        PORT,
                        """
                        entry: [Shed]
                        profiles:
                          test: { bindings: { Gauge: mock, Book: Tally } }
                          heir: { bindings: { Gauge: mock, Book: Heir } }
                          said: { bindings: { Gauge: mock, Book: { class: Tally, lifetime: scoped } } }
                        """);
        assertEquals(new TreeSet<>(List.of("p.PerTide scope-unmapped")), it.told());
        assertEquals("Tally", it.detail("scope-unmapped", "marked"), "marks are not inherited");
        assertEquals("shared by default", it.lifetime("test", "Shed.book"));
    }

    @Test
    void rule_6_1a_one_class_in_two_slots_is_two_instances_unless_marked_or_the_same() {
        Situation it =
                Situation.of(
                                """
                                import jakarta.inject.*;
                                interface Feed {} class Calm implements Feed {} @Singleton class One implements Feed {}
                                class Desk { Desk(@Named("a") Feed a, @Named("b") Feed b) {} }
                                """,
                                """
                                entry: [Desk]
                                profiles:
                                  twice: { bindings: { Feed@a: Calm, Feed@b: Calm } }
                                  same: { bindings: { Feed@a: Calm, Feed@b: { same-as: Feed@a } } }
                                  marked: { bindings: { Feed@a: One, Feed@b: One } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(new TreeSet<>(List.of("5 shared-twice")), it.noted());
        assertEquals(Severity.NOTE, it.finding("shared-twice").severity());
        assertNotEquals(it.instance("twice", "Desk.a"), it.instance("twice", "Desk.b"));
        assertEquals(it.instance("same", "Desk.a"), it.instance("same", "Desk.b"));
        assertEquals(it.instance("marked", "Desk.a"), it.instance("marked", "Desk.b"));
    }

    @Test
    void a_mark_on_the_class_that_holds_a_factory_says_nothing_of_what_the_factory_makes() {
        Situation it =
                Situation.of(
                                """
                                import jakarta.inject.*;
                                interface Feed {}
                                @Singleton class Makers implements Feed {
                                    @Singleton static class Calm implements Feed {}
                                    static Feed ofClass() { return null; }
                                    Feed ofObject() { return null; }
                                }
                                class Desk { Desk(@Named("a") Feed a, @Named("b") Feed b, Makers c) {} }
                                """,
                                """
                                default-lifetime: fresh
                                entry: [Desk]
                                profiles:
                                  test:
                                    bindings:
                                      Feed@a: { factory: "Makers#ofClass" }
                                      Feed@b: { factory: "Makers#ofObject" }
                                      Makers: Makers
                                """)
                        .tellsWhatIsMarked();
        assertEquals("fresh by default", it.lifetime("test", "Desk.a"));
        assertEquals("fresh by default", it.lifetime("test", "Desk.b"));
        assertEquals("shared by its mark", it.lifetime("test", "Desk.c"));
    }

    @Test
    void entry_consumers_live_as_long_as_is_said_and_one_instance_in_layers_is_not_two() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                entry: [Desk]
                                marks: { scope: { PerTide: scoped } }
                                fill-in: [sole]
                                profiles:
                                  shared:
                                    bindings: { Book: Tally }                                  # <- outlives
                                  scoped: { bindings: { Book: Tally, Desk: { class: Desk, lifetime: scoped } } }
                                  layered: { bindings: { Book: Plain }, decorators: { Gauge: [spy] } }
                                """)
                        .tellsWhatIsMarked();
        assertFalse(it.noted().toString().contains("shared-twice"), it.noted().toString());
        Situation.of(
                        PORT,
                        """
                        entry: [Shed]
                        areas: { quay: { members: [Shed] } }
                        profiles:
                          test:
                            bindings: { Book: { same-as: Book@quay }, Gauge: Sonar }
                            within: { quay: { bindings: { Book@quay: Plain } } }
                          typo:
                            bindings:
                              Book: { same-as: Book@quai }                                     # <- key-unknown
                              Gauge: Sonar
                        """)
                .tellsWhatIsMarked();
    }
}
