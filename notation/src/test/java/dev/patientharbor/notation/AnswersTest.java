package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.finding.Finding;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a need receives, how long it lives, and what is told where nothing is there. */
class AnswersTest {

    private static final String FEES =
            """
            import jakarta.inject.*;
            interface Fee {}
            class Tonnage implements Fee {}
            class Flat implements Fee {}
            class Levy implements Fee { Levy(Fee inner) {} }
            class Night implements Fee { Night(Fee inner) {} }
            class Tally implements Fee { Tally(Book book, Fee inner, @Named("old") Fee former) {} }
            class Book {}
            interface Clock {}
            class Wall implements Clock {}
            class Booth { Booth(Fee fee) {} }
            class Hall { Hall(Fee fee) {} }
            """;

    @Test
    void decision_21_a_decorator_s_other_needs_are_rows_of_their_own_and_its_inner_need_is_none() {
        Situation it =
                Situation.of(
                                FEES,
                                """
                                entry: [Booth]
                                profiles:
                                  test:
                                    bindings: { Fee: Tonnage, Fee@old: Flat }
                                    decorators: { Fee: [Tally] }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                List.of(
                        "Booth.fee: Fee = Tally > real Tonnage",
                        "Tally.book: Book = real Book",
                        "Tally.former: Fee@old = real Flat"),
                it.all("test"));
    }

    @Test
    void decision_18_an_alias_hands_out_the_target_with_its_layers_the_very_same_instance() {
        Situation it =
                Situation.of(
                                FEES + "class Old { Old(@Named(\"old\") Fee fee, Fee plain) {} }",
                                """
                                entry: [Old]
                                profiles:
                                  test:
                                    bindings: { Fee@old: Tonnage, Fee: { same-as: Fee@old } }
                                    decorators: { Fee@old: [Levy] }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("Levy > real Tonnage", it.received("test", "Old.plain"));
        assertEquals(it.instance("test", "Old.fee"), it.instance("test", "Old.plain"));
    }

    @Test
    void n31_shared_is_one_instance_fresh_is_one_for_each_need_and_the_roster_says_who_decided() {
        Situation it =
                Situation.of(
                        FEES + "@Singleton class Only implements Fee {}",
                        """
                        entry: [Booth, Hall]
                        profiles:
                          usual: { bindings: { Fee: Tonnage } }
                          fresh: { bindings: { Fee: { class: Tonnage, lifetime: fresh } } }
                          marked: { bindings: { Fee: Only } }
                        """);
        assertEquals("shared by default", it.lifetime("usual", "Booth.fee"));
        assertEquals("fresh by the binding", it.lifetime("fresh", "Booth.fee"));
        assertEquals("shared by its mark", it.lifetime("marked", "Booth.fee"));
        assertEquals(it.instance("usual", "Booth.fee"), it.instance("usual", "Hall.fee"));
        assertNotEquals(it.instance("fresh", "Booth.fee"), it.instance("fresh", "Hall.fee"));
    }

    @Test
    void decision_6_one_cause_names_the_classes_that_ask_and_the_entries_above_them() {
        Situation it =
                Situation.of(
                        """
                        interface Clock {} interface Rota {}
                        class Season implements Rota { Season(Clock c) {} }
                        class Night implements Rota { Night(Clock c) {} }
                        class A { A(Rota r) {} } class B { B(Rota r) {} } class C { C(Clock c) {} }
                        class D { }
                        """,
                        """
                        entry: [A, B, C, D]
                        profiles:
                          base: { partial: true }
                          one: { extends: base, bindings: { Rota: Season } }
                          two: { extends: base, bindings: { Rota: Season } }
                        """);
        List<Finding> told = it.verdict().allFindings();
        assertEquals(2, told.size());
        assertEquals(told.get(0).identity(), told.get(1).identity(), "one cause over two profiles");
        assertEquals(List.of("p.C", "p.Season"), told.get(0).consumers());
        assertEquals(List.of("p.A", "p.B", "p.C"), told.get(0).entries());
        assertEquals("f:5:3", told.get(0).at().text(), "at the profile that both extend");
    }

    @Test
    void n27_the_reason_of_an_unmet_need_is_named() {
        String java =
                """
                import jakarta.inject.*;
                interface Clock {} class Wall implements Clock {}
                class Desk { Desk(Clock clock) {} }
                class Keyed { Keyed(@Named("north") Clock clock) {} }
                """;
        record Case(String entry, String bindings, String reason) {}
        for (Case one :
                List.of(
                        new Case("Desk", "{}", "never bound"),
                        new Case(
                                "Desk",
                                "{ Clock@north: Wall }",
                                "bound under another key: Clock@north"),
                        new Case(
                                "Keyed",
                                "{ Clock@nroth: Wall }",
                                "bound under another key: Clock@nroth"))) {
            Situation it =
                    Situation.of(
                            java,
                            "entry: [%s]\nprofiles: { test: { bindings: %s } }\n"
                                    .formatted(one.entry(), one.bindings()));
            assertEquals(one.reason(), it.detail("unmet-need", "reason"));
        }
        Situation elsewhere =
                Situation.of(
                                java,
                                """
                                entry: [Desk]
                                profiles:
                                  ship: { bindings: { Clock: Wall } }
                                  shore: {}                      # <- unmet-need
                                """)
                        .tellsWhatIsMarked();
        assertEquals("bound in another profile: ship", elsewhere.detail("unmet-need", "reason"));
        assertEquals(
                "Clock: Wall     under shore › bindings", elsewhere.detail("unmet-need", "write"));
    }

    @Test
    void n16_a_mistyped_key_is_offered_the_nearest_one() {
        Situation it =
                Situation.of(
                        "import jakarta.inject.*; interface Feed {} class Mud implements Feed {}"
                                + " class Desk { Desk(@Named(\"estuary\") Feed feed) {} }",
                        """
                        entry: [Desk]
                        profiles:
                          test: { bindings: { Feed@esturay: Mud, Feed@coast: Mud } }
                        """);
        assertEquals("esturay", it.detail("unmet-need", "did you mean"));
    }

    @Test
    void
            decision_23_and_24_a_concrete_class_supplies_itself_but_no_value_no_foreign_class_no_key() {
        Situation it =
                Situation.of(
                        """
                        import jakarta.inject.*;
                        class Engine {}
                        enum Mode { A }
                        record Place(String name, int depth) {}
                        record Crew(Engine engine) {}
                        class Desk {
                            Desk(Engine engine, Crew crew, @Named("old") Engine old, String text, int n,
                                Mode mode, Place place, java.util.Random random, Object any) {}
                        }
                        """,
                        "entry: [Desk]\nprofiles: { test: {} }\n");
        assertEquals("real Engine", it.received("test", "Desk.engine"));
        assertEquals("real Crew", it.received("test", "Desk.crew"));
        for (String value : List.of("text", "n", "mode", "place", "random", "any")) {
            assertEquals("unmet", it.received("test", "Desk." + value), value);
        }
        assertTrue(
                it.finding("value-missing")
                        .message()
                        .startsWith("Desk asks for 6 values, and there are none: String ("));
        assertTrue(it.finding("unmet-need").message().contains("Engine@old"));
    }

    @Test
    void decision_37_a_pattern_stands_for_the_consumers_of_a_package_and_not_for_what_is_bound() {
        Situation it =
                Situation.of(
                        FEES
                                + """
                                abstract class Base { Base(Fee f) {} }
                                class Line {
                                    Line(String s) {}
                                    Runnable later(Fee f) { return new Runnable() { public void run() { f.hashCode(); } }; }
                                    Object inside(Fee f) { class Local { Local(Fee g) {} } return new Local(f); }
                                }
                                class Refused extends IllegalStateException {
                                    Refused(String s, Throwable cause) {}
                                }
                                """,
                        """
                        entry: [p.*]
                        profiles:
                          test: { bindings: { Fee: Tonnage }, decorators: { Fee: [Levy, Night] } }
                        """);
        assertEquals(
                List.of("Booth", "Hall", "Tally"),
                it.verdict().roster("test").rows().stream()
                        .map(row -> it.verdict().shortName(row.consumer()))
                        .distinct()
                        .toList());
    }

    @Test
    void decision_40_a_knot_is_told_once_by_a_shortest_path_and_its_rows_stay_met() {
        Situation it =
                Situation.of(
                        """
                        interface A {} interface B {} interface C {}
                        class A1 implements A { A1(B b, C c) {} }
                        class B1 implements B { B1(C c) {} }
                        class C1 implements C { C1(A a) {} }
                        class Desk { Desk(A a) {} }
                        """,
                        "entry: [Desk]\n"
                                + "profiles: { test: { bindings: { A: A1, B: B1, C: C1 } } }\n");
        assertEquals(
                "A (A1) asks for C (constructor parameter 2, c)\n"
                        + "C (C1) asks for A (constructor parameter 1, a)",
                it.detail("cycle", "path"));
        assertEquals(List.of("p.A1", "p.B1", "p.C1"), it.finding("cycle").consumers());
        assertEquals(List.of("p.Desk"), it.finding("cycle").entries());
        assertEquals("real C1", it.received("test", "A1.c"));
        assertFalse(it.verdict().complete("test"));
    }

    @Test
    void decision_15_one_cause_is_one_finding_a_broken_binding_is_not_an_unmet_need_too() {
        Situation it =
                Situation.of(
                                FEES,
                                """
                                entry: [Booth, Hall]
                                profiles:
                                  test: { bindings: { Fee: Tonage } }      # <- unknown-class
                                """)
                        .tellsWhatIsMarked();
        assertEquals("unmet", it.received("test", "Booth.fee"));
        assertEquals("Tonnage", it.detail("unknown-class", "did you mean"));
        assertEquals(List.of("p.Booth", "p.Hall"), it.finding("unknown-class").consumers());
    }
}
