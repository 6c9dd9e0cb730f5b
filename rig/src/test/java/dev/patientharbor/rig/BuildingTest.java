package dev.patientharbor.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotSame;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a rig makes: which objects, by which way, how many, and what is told when it cannot. */
class BuildingTest {

    static final Yard PORT =
            Yard.of(
                    """
                    import java.util.*;
                    import java.util.function.Supplier;
                    import jakarta.inject.*;
                    interface Gauge {}
                    record Sonar(int depth, List<String> names) implements Gauge {}
                    record Fixed() implements Gauge {}
                    record Levelled(Gauge inner) implements Gauge {}
                    record Timed(Supplier<Gauge> inner, Clock clock) implements Gauge {
                        public String toString() { return "Timed[" + inner.get() + ", " + clock + "]"; }
                    }
                    interface Clock {}
                    record Quartz(String by) implements Clock {}
                    class Makers {
                        static Clock quartz(Gauge gauge) { return new Quartz("static"); }
                        Clock wound() { return new Quartz("object"); }
                        private static int made; static Clock counted() { return new Quartz("" + ++made); }
                    }
                    enum Side { EAST, WEST }
                    record Desk(Gauge gauge, @Named("b") Gauge other) {}
                    record Hall(List<Gauge> list, Set<Gauge> set, Gauge[] array, Map<String, Gauge> byName,
                            Map<Side, Clock> bySide, Collection<Pump> none, Iterable<Clock> clocks) {
                        public String toString() {
                            return list + "" + set + Arrays.toString(array) + byName + bySide + none + clocks;
                        }
                    }
                    class Late {
                        @Inject Provider<Gauge> jakarta; @Inject javax.inject.Provider<Gauge> javax;
                        final Supplier<Gauge> jdk; final Optional<Gauge> there; final Optional<Pump> absent;
                        Late(@Named("b") Supplier<Gauge> jdk, Optional<Gauge> there, Optional<Pump> absent) {
                            this.jdk = jdk; this.there = there; this.absent = absent;
                        }
                        public String toString() {
                            return jakarta.get() + " " + javax.get() + " " + jdk.get() + " " + there + absent
                                    + (jdk.get() == jdk.get()) + (jakarta.get() == javax.get());
                        }
                    }
                    interface Pump {} interface Vane {}
                    interface Reader<T> {}
                    record Ship() {} record Cargo() {}
                    record Ships() implements Reader<Ship> {} record Cargos() implements Reader<Cargo> {}
                    record Clerk(Reader<Ship> ships, Reader<Cargo> cargo) {}
                    record Watch(Gauge gauge, Clock clock) {}
                    @Singleton record Bell(Clock clock) implements Pump {}
                    record Tower(@Named("x") Pump x, @Named("y") Pump y, Bell bell) {}
                    """,
                    """
                    entry: [Desk, Hall, Late, Clerk, Watch]
                    may-be-empty: [Pump]
                    areas: { crane: { members: [Watch] } }
                    profiles:
                      port:
                        bindings:
                          Gauge: { class: Sonar, with: { depth: 12, names: [ada, bert] } }
                          Gauge@b: { class: Fixed, lifetime: fresh }
                          Pump: none
                          Vane: mock
                          Bell: Bell
                          Reader<Ship>: Ships
                          Reader<Cargo>: Cargos
                          Clock: { class: Quartz, with: [plain] }
                          Clock@EAST: { factory: "Makers#quartz" }
                          Clock@WEST: { factory: "Makers#wound" }
                        decorators: { Gauge: [Levelled], Gauge@b: [Timed] }
                        within: { crane: { bindings: { Gauge: Fixed } } }
                      counted:
                        extends: port
                        bindings: { Clock: { factory: "Makers#counted", lifetime: fresh } }
                    """);

    private static final String SONAR = "Levelled[inner=Sonar[depth=12, names=[ada, bert]]]";
    private static final String FIXED = "Timed[Fixed[], Quartz[by=plain]]";
    private static final String TWO = SONAR + ", " + FIXED;

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            quoteCharacter = '`',
            textBlock =
                    """
                    Desk; Desk[gauge=SONAR, other=FIXED]
                    Clerk; Clerk[ships=Ships[], cargo=Cargos[]]
                    Watch; Watch[gauge=Levelled[inner=Fixed[]], clock=Quartz[by=plain]]
                    Late; SONAR SONAR FIXED Optional[SONAR]Optional.emptyfalsetrue
                    Hall; [TWO][TWO][TWO]{b=FIXED}{EAST=Quartz[by=static], WEST=Quartz[by=object]}[][CLOCKS]
                    """)
    void a_consumer_receives_what_the_file_says_in_its_layers_and_in_its_carrier(
            String consumer, String expected) {
        try (Rig rig = PORT.rig("port")) {
            assertEquals(
                    expected.replace("TWO", TWO)
                            .replace("SONAR", SONAR)
                            .replace("FIXED", FIXED)
                            .replace(
                                    "CLOCKS",
                                    "Quartz[by=plain], Quartz[by=static], Quartz[by=object]"),
                    rig.get(PORT.type(consumer)).toString());
        }
    }

    @Test
    void whatever_is_bound_can_be_had_by_contract_key_and_type_arguments_and_in_carriers() {
        Class<?> gauge = PORT.type("Gauge");
        try (Rig rig = PORT.rig("port")) {
            assertEquals(SONAR, rig.get(gauge).toString());
            assertEquals(FIXED, rig.get(gauge, "b").toString());
            assertEquals("[" + TWO + "]", rig.all(gauge).toString());
            assertEquals("{b=" + FIXED + "}", rig.byKey(gauge).toString());
            assertSame(rig.get(gauge), rig.maybe(gauge).orElseThrow());
            assertEquals(Optional.empty(), rig.maybe(gauge, "c"));
            assertEquals(Optional.empty(), rig.maybe(PORT.type("Pump")));
            assertSame(rig.get(gauge), rig.later(gauge).get());
            assertNotSame(rig.get(gauge), rig.fresh(gauge));
            assertNotSame(
                    rig.get(PORT.type("Bell")), rig.fresh(PORT.type("Bell")), "whatever its mark");
            assertSame(rig.get(gauge), rig.get(gauge));
            assertNotSame(rig.get(gauge, "b"), rig.get(gauge, "b"));
        }
        try (Rig one = PORT.rig("port");
                Rig other = PORT.rig("port")) {
            assertNotSame(one.get(gauge), other.get(gauge), "two rigs never share");
            assertEquals(one.fingerprint(), other.fingerprint());
        }
        assertThrows(IllegalStateException.class, Open::new);
    }

    private static final class Open<T> extends Contract<T> {}

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "NULL",
            textBlock =
                    """
                    Gauge  | depth | 7    | Levelled[inner=Sonar[depth=7, names=[ada, bert]]]
                    Clock  | by    | now  | Quartz[by=now]
                    Desk   | other | 7    | other of Desk takes p.Gauge, and was passed a java.lang.Integer
                    Gauge  | depth | NULL | depth of Sonar takes int, and was passed null
                    Gauge  | dept  | 7    | what makes Gauge has no parameter or field dept; did you mean depth?
                    Gauge  | inner | 7    | what makes Gauge has no parameter or field inner; it has depth, names
                    Bell   | clock | 7    | clock of Bell takes p.Clock, and was passed a java.lang.Integer
                    Vane   | x     | 7    | Vane is given nothing by name, so it cannot be given x
                    """)
    void a_new_object_may_be_given_what_is_known_only_when_it_is_asked_for(
            String contract, String name, String passed, String expected) {
        Object object = passed != null && passed.matches("\\d+") ? Integer.valueOf(passed) : passed;
        try (Rig rig = PORT.rig("port")) {
            Object kept = rig.get(PORT.type(contract));
            String before = kept.toString();
            String told;
            try {
                Object fresh =
                        rig.fresh(PORT.type(contract), Collections.singletonMap(name, object));
                assertNotSame(kept, fresh);
                told = fresh.toString();
            } catch (RigException | IllegalArgumentException refused) {
                told = refused.getMessage();
            }
            assertTrue(told.contains(expected), told);
            assertSame(kept, rig.get(PORT.type(contract)), "nobody else receives it");
            assertEquals(before, kept.toString());
        }
    }

    @Test
    void whatever_makes_an_object_may_be_given_something_else_and_it_is_closed_with_the_rig() {
        Yard yard =
                Yard.of(
                        """
                        import jakarta.inject.*;
                        public class Log { public static final StringBuilder TEXT = new StringBuilder(); }
                        interface Clock {} record Sun() implements Clock {} record Moon() implements Clock {}
                        class Bell implements AutoCloseable {
                            @Inject Clock clock; private Clock other;
                            @Inject void other(Clock night) { other = night; }
                            public void close() { Log.TEXT.append(" -").append(this); }
                            public String toString() { return clock + "/" + other; } }
                        record Hour(Clock clock, int hour) {}
                        class Makers { static Hour hour(Clock sky) { return new Hour(sky, 1); } }
                        """,
                        """
                        entry: [Bell]
                        profiles:
                          t: { bindings: { Clock: Sun, Bell: Bell, Hour: { factory: "Makers#hour" }, Moon: Moon } }
                        """);
        try (Rig rig = yard.rig("t")) {
            Object moon = rig.get(yard.type("Moon"));
            Class<?> bell = yard.type("Bell");
            assertEquals("Moon[]/Sun[]", rig.fresh(bell, Map.of("clock", moon)).toString());
            assertEquals("Sun[]/Moon[]", rig.fresh(bell, Map.of("night", moon)).toString());
            assertEquals(
                    "Hour[clock=Moon[], hour=1]",
                    rig.fresh(yard.type("Hour"), Map.of("sky", moon)).toString());
            assertEquals("Sun[]/Sun[]", rig.get(bell).toString());
        }
        assertEquals("-Sun[]/Sun[] -Sun[]/Moon[] -Moon[]/Sun[]", yard.log());
    }

    @Test
    void a_fresh_object_is_one_for_each_need_and_each_is_the_one_that_its_holder_holds() {
        try (Rig rig = PORT.rig("counted")) {
            Object watch = rig.get(PORT.type("Watch"));
            HeldObject clock = rig.received(PORT.type("Watch"), "clock");
            assertSame(Yard.call(watch, "clock"), clock.outermost());
            assertSame(clock.outermost(), rig.received(PORT.type("Watch"), "clock").innermost());
            assertNotSame(clock.outermost(), rig.get(PORT.type("Clock")));
            HeldObject other = rig.received(PORT.type("Desk"), "other");
            assertSame(Yard.call(rig.get(PORT.type("Desk")), "other"), other.outermost());
            assertEquals(
                    List.of("Timed", "Fixed"),
                    other.layers().stream()
                            .map(layer -> layer.getClass().getSimpleName())
                            .toList());
            for (String need : List.of("there", "jakarta", "javax")) {
                HeldObject held = rig.received(PORT.type("Late"), need);
                assertEquals("Sonar", held.innermost().getClass().getSimpleName(), need);
            }
            HeldObject fresh = rig.held(PORT.type("Gauge"), Optional.of("b"));
            assertEquals("Fixed", fresh.innermost().getClass().getSimpleName());
        }
    }

    @Test
    void shared_by_mark_is_one_for_each_class_and_shared_by_binding_one_for_each_slot() {
        Yard yard =
                Yard.of(
                        """
                        import jakarta.inject.*;
                        interface Pump {} interface Horn {}
                        @Singleton class Bell implements Pump, Horn {}
                        class Siren implements Pump, Horn {}
                        record Loud(Pump inner) implements Pump {}
                        record Tower(@Named("x") Pump x, @Named("y") Pump y, Bell bell, Horn horn,
                                @Named("x") Horn hx, @Named("y") Horn hy, @Named("z") Horn hz) {}
                        """,
                        """
                        entry: [Tower]
                        profiles:
                          t:
                            bindings:
                              Pump@x: Bell
                              Pump@y: Bell
                              Horn: Bell
                              Horn@x: Siren
                              Horn@y: Siren
                              Horn@z: { same-as: Horn@y }
                            decorators: { Pump@y: [Loud] }
                        """);
        try (Rig rig = yard.rig("t")) {
            Object tower = rig.get(yard.type("Tower"));
            Object bell = Yard.call(tower, "bell");
            for (String need : List.of("x", "horn")) {
                assertSame(bell, Yard.call(tower, need), need);
            }
            assertSame(bell, rig.received(yard.type("Tower"), "y").innermost());
            assertEquals("Loud", Yard.call(tower, "y").getClass().getSimpleName());
            assertNotSame(Yard.call(tower, "hx"), Yard.call(tower, "hy"));
            assertSame(Yard.call(tower, "hz"), Yard.call(tower, "hy"));
        }
    }
}
