package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Bindings that do not reach everyone, classes that cannot be swapped, and two names for one. */
class WhichOneTest {

    private static final String PORT =
            """
            import jakarta.inject.*;
            import java.util.*;
            import java.util.function.Supplier;
            interface Gauge {} class Sonar implements Gauge {} class Fixed implements Gauge {}
            class Desk { Desk(Gauge gauge) {} } class Shed { Shed(Gauge gauge) {} }
            """;

    @Test
    void decision_7_a_broader_binding_is_told_only_if_the_narrower_one_did_not_know_it() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                entry: [Desk, Shed]
                                areas: { crane: { members: [Shed] } }
                                profiles:
                                  base:
                                    bindings: { Gauge: Sonar }
                                    within: { crane: { bindings: { Gauge: Fixed } } }
                                  child: { extends: base, bindings: { Gauge: mock } }   # <- hidden-by-narrower
                                  same: { extends: base, bindings: { Gauge: Fixed } }
                                  narrow:
                                    extends: child
                                    within: { crane: { bindings: { Gauge: Sonar } } }
                                  left:
                                    bindings:
                                      Gauge: mock                                       # <- hidden-by-narrower
                                  right: { bindings: { Gauge: mock }, within: { Shed: { bindings: { Gauge: Sonar } } } }
                                  both: { extends: [left, right] }
                                  nobody: { extends: base, bindings: { Gauge: removed } }   # <- unmet-need
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                "Fixed at f:8:36, in base",
                it.verdict().profiles().get(1).findings().get(0).details().get(0).text());
        assertEquals(
                List.of("p.Shed"), it.verdict().profiles().get(1).findings().get(0).consumers());
    }

    @Test
    void decision_35_the_bound_carrier_wins_where_it_is_visible_and_hides_as_any_slot_does() {
        Situation it =
                Situation.of(
                                """
                                import java.util.function.Supplier;
                                interface Tide {} class Low implements Tide {}
                                class Table implements Supplier<Tide> { public Tide get() { return null; } }
                                class Shed { Shed(Supplier<Tide> tide) {} }
                                """,
                                """
                                entry: [Shed]
                                areas: { crane: { members: [Shed] } }
                                profiles:
                                  test:
                                    bindings: { "Supplier<Tide>": Table }
                                    within: { crane: { bindings: { Tide: Low } } }      # <- unused-binding
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Table", it.received("test", "Shed.tide"));
    }

    @Test
    void
            n06_and_decision_29_classes_that_are_asked_for_are_noted_once_but_for_those_that_are_replaced() {
        Situation it =
                Situation.of(
                                PORT
                                        + """
                                        abstract class Board {} class Wall extends Board {}
                                        record Line(String text, int width) {}
                                        class Hall { Hall(Sonar one, Optional<Fixed> two, Board board, String name, Line line) {} }
                                        class Pier { Pier(Supplier<List<Sonar>> all, Sonar one) {} }
                                        """,
                                """
                                entry: [Hall, Pier]
                                may-be-empty: [Sonar]
                                profiles:
                                  test:
                                    bindings:
                                      Sonar: { mock: true }
                                      Board: Wall
                                      String: { value: Hall }
                                      Line: { value: { text: a, width: 3 } }
                                  other: { extends: test, bindings: { Sonar: Sonar } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                "1 consumer asks for classes rather than contracts: Hall (Fixed).",
                it.finding("cannot-swap").message(),
                "Sonar is replaced by a mock, and Board is no class that could be made");
        assertEquals(List.of("p.Fixed"), it.finding("cannot-swap").subjects());
        assertEquals("real Sonar", it.received("other", "Hall.one"));
    }

    @Test
    void decision_42_a_class_a_factory_and_a_value_are_real_unless_called_a_stand_in() {
        Situation it =
                Situation.of(
                                PORT
                                        + """
                                        class Makers { static Gauge gauge() { return null; } }
                                        class Hall { Hall(Gauge gauge, String name) {} }
                                        """,
                                """
                                entry: [Hall]
                                profiles:
                                  real: { bindings: { Gauge: { factory: "Makers#gauge" }, String: { value: a } } }
                                  fake:
                                    bindings:
                                      Gauge: { factory: "Makers#gauge", as: fake }     # <- two-kinds
                                      String: { value: a, as: stub }
                                  one: { bindings: { Gauge: Fixed, String: { value: b } } }
                                  two:
                                    extends: one
                                    bindings:
                                      Gauge: { class: Fixed, as: stub }                # <- two-kinds
                                  wrong:
                                    extends: one
                                    bindings:
                                      Gauge: { class: Sonar, as: spy }                 # <- malformed-file
                                """)
                        .tellsWhatIsMarked();
        assertEquals("factory Makers#gauge", it.received("real", "Hall.gauge"));
        assertEquals("fake Makers#gauge", it.received("fake", "Hall.gauge"));
        assertEquals("value", it.received("real", "Hall.name"));
        assertEquals("stub", it.received("fake", "Hall.name"));
        assertEquals("stub Fixed", it.received("two", "Hall.gauge"));
    }
}
