package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Methods that make objects, and classes that hand them out. */
class FactoriesTest {

    private static final String CODE =
            """
            import jakarta.inject.*;
            interface Clock {} class Wall implements Clock {}
            interface Rota {} class Season implements Rota {}
            class Rotas {
                static Season of(Clock clock, @Named("deep") Clock deep) { return null; }
                static Rota two(int a) { return null; }
                static Rota two(String b) { return null; }
                static String text() { return ""; }
                private static Rota hidden() { return null; }
                static <T> java.util.List<T> many() { return null; }
            }
            interface Office { Rota rota(Clock clock); }
            class Town implements Office { Town(Desk desk) {} public Rota rota(Clock c) { return null; } }
            class Desk {}
            class Watch { Watch(Rota rota) {} }
            """;

    @Test
    void n10_a_factory_s_own_needs_are_known_and_followed() {
        Situation it =
                Situation.of(
                                CODE,
                                """
                                entry: [Watch]
                                profiles:
                                  whole:
                                    bindings: { Rota: { factory: "Rotas#of" }, Clock: Wall, Clock@deep: Wall }
                                  lacking:
                                    bindings: { Rota: { factory: "p.Rotas#of" }, Clock@deep: mock }   # <- unmet-need
                                """)
                        .tellsWhatIsMarked();
        assertEquals("factory Rotas#of", it.received("whole", "Watch.rota"));
        assertEquals(
                List.of(
                        "Rotas.clock: Clock = real Wall",
                        "Rotas.deep: Clock@deep = real Wall",
                        "Watch.rota: Rota = factory Rotas#of"),
                it.all("whole"));
        assertEquals("method:of(p.Clock,p.Clock):0", it.row("whole", "Rotas.clock").place().code());
        assertTrue(
                it.detail("unmet-need", "reached by").contains("Watch → Rota (Rotas#of) → Clock"),
                it.detail("unmet-need", "reached by"));
    }

    @Test
    void a_method_of_another_slot_needs_the_object_of_that_slot() {
        Situation it =
                Situation.of(
                                CODE,
                                """
                                entry: [Watch]
                                profiles:
                                  test:
                                    bindings: { Rota: { factory: "Office#rota", lifetime: fresh }, Office: Town, Clock: Wall }
                                  lacking:
                                    bindings: { Rota: { factory: "Office#rota" }, Clock: Wall }   # <- unmet-need
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Town", it.received("test", "Office.office"));
        assertEquals("declared:office", it.row("test", "Office.office").place().code());
        assertEquals("real Desk", it.received("test", "Town.desk"));
        assertEquals("fresh by the binding", it.lifetime("test", "Watch.rota"));
        assertTrue(
                it.finding("unmet-need").message().startsWith("Office asks for Office (declared"));
    }

    @Test
    void a_factory_that_is_no_method_or_returns_something_else_is_told() {
        Situation.of(
                        CODE,
                        """
                        entry: [Watch]
                        profiles:
                          a: { bindings: { Rota: { factory: "Rotas#off" } } }      # <- cannot-be-built
                          b: { bindings: { Rota: { factory: "Rotas#two" } } }      # <- cannot-be-built
                          c: { bindings: { Rota: { factory: "Rotas#text" } } }     # <- does-not-fit
                          d: { bindings: { Rota: { factory: "Rotas#hidden" } } }   # <- cannot-be-built
                          e: { bindings: { Rota: { factory: "Rotos#of" } } }       # <- unknown-class
                          f: { bindings: { Rota: { factory: "Rotas.of" } } }       # <- malformed-file, unmet-need
                        """)
                .tellsWhatIsMarked();
    }

    @Test
    void a_marked_class_that_hands_out_a_contract_supplies_it_and_its_own_needs_are_followed() {
        Situation it =
                Situation.of(
                                CODE
                                        + """
                                        @Singleton @Named("north") class North implements Provider<Clock> {
                                            @Inject North(Office office) {}
                                            public Clock get() { return null; }
                                        }
                                        class Deep { Deep(@Named("north") Clock clock) {} }
                                        """,
                                """
                                fill-in: [marked]
                                entry: [Deep]
                                profiles:
                                  test: { bindings: { Office: mock } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("factory North#get", it.received("test", "Deep.clock"));
        assertEquals("mock", it.received("test", "North.office"));
    }
}
