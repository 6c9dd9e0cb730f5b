package dev.patientharbor.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.lang.reflect.Field;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** In which order the objects of a rig are made, and what is left of one that could not be. */
class OrderOfMakingTest {

    private static final int RIGS = 800;

    private static final Yard YARD =
            Yard.of(
                    eachInItsFile(
                            """
                            public class Log {
                                public static final StringBuilder TEXT = new StringBuilder();
                                static void add(String word) { TEXT.append(' ').append(word); }
                            }
                            public class Noted { Noted() { Log.add(getClass().getSimpleName()); } }
                            public interface Gauge {}
                            public interface Clock {}
                            public class Cable extends Noted {}
                            public class Sonar extends Noted implements Gauge { public Sonar(Cable cable) {} }
                            public class Levelled extends Noted implements Gauge { public Levelled(Gauge inner, Cable cable) {} }
                            public class Lead extends Noted implements Gauge, AutoCloseable {
                                public Lead(Cable cable, int depth) {}
                                public void close() { Log.add("-Lead"); }
                            }
                            class Hidden extends Noted implements Gauge { public Hidden(Cable cable) {} }
                            public class Shy extends Noted implements Gauge { Shy(Cable cable) {} }
                            public class Marked extends Noted implements Gauge { @jakarta.inject.Inject Cable cable; }
                            public class Broken extends Noted implements Gauge {
                                public static boolean now;
                                public Broken(Cable cable) { if (now) throw new IllegalStateException("no echo"); }
                            }
                            public class Asks extends Noted implements Gauge {
                                public Asks(Supplier<Desk> desk) { if (Broken.now) desk.get(); }
                            }
                            public class Forgives extends Noted implements Gauge {
                                public Forgives(Supplier<Desk> desk, Cable cable) {
                                    try { desk.get(); } catch (RuntimeException told) { Log.add("refused"); }
                                }
                            }
                            public class Turns extends Noted implements Gauge {
                                public Turns(Cable cable, Supplier<Side> side, Clock clock) {
                                    try { side.get(); } catch (RuntimeException told) { if (Broken.now) throw told; Log.add("refused"); }
                                }
                            }
                            public class Side extends Noted { public Side(Mate mate, Desk desk) {} }
                            public class Early extends Noted implements Gauge { public Early(Supplier<Mate> mate) { mate.get(); } }
                            public class Nothing {
                                static Gauge made(Cable cable) { return Broken.now ? null : new Sonar(cable); }
                            }
                            public class Mate extends Noted { public Mate(Cable cable, Clock clock) {} }
                            public class Desk extends Noted { public Desk(Gauge gauge, Optional<Clock> clock, Cable cable, Mate mate) {} }
                            public class Hall extends Noted { public Hall(Desk desk, List<Gauge> all, Gauge one, Gauge[] again) {} }
                            """),
                    """
                    entry: [Hall]
                    profiles:
                      plain: { bindings: { Gauge: Sonar, Clock: mock } }
                      layered: { extends: plain, decorators: { Gauge: [Levelled] } }
                      closed: { extends: plain, bindings: { Gauge: { class: Lead, with: { depth: 2 } } } }
                      hidden: { extends: plain, bindings: { Gauge: Hidden } }
                      shy: { extends: plain, bindings: { Gauge: Shy } }
                      marked: { extends: plain, bindings: { Gauge: Marked } }
                      fresh: { extends: plain, bindings: { Gauge: { class: Sonar, lifetime: fresh } } }
                      early: { extends: plain, bindings: { Gauge: Early } }
                      forgives: { extends: plain, bindings: { Gauge: Forgives } }
                      turns: { extends: plain, bindings: { Gauge: Turns } }
                      twists: { extends: turns }
                      asks: { extends: plain, bindings: { Gauge: Asks } }
                      broken: { extends: plain, bindings: { Gauge: Broken } }
                      nothing: { extends: plain, bindings: { Gauge: { factory: "Nothing#made" } } }
                    """);

    private static String eachInItsFile(String java) {
        return java.replaceAll(
                "(?m)^public ",
                "package p; import java.util.*; import java.util.function.Supplier;\npublic ");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    plain    | Cable Sonar Mate Desk Hall
                    layered  | Cable Sonar Levelled Mate Desk Hall
                    closed   | Cable Lead Mate Desk Hall -Lead
                    hidden   | Cable Hidden Mate Desk Hall
                    shy      | Cable Shy Mate Desk Hall
                    marked   | Marked Cable Mate Desk Hall
                    fresh    | Cable Sonar Mate Desk Sonar Sonar Sonar Hall
                    early    | Early Cable Mate Desk Hall
                    forgives | Cable Forgives refused Mate Desk Hall
                    turns    | Cable Turns Mate refused Desk Hall
                    """)
    void each_is_made_when_it_is_first_needed_and_once(String profile, String made) {
        assertEquals(made, outcome(profile));
        assertEquals(made, outcome(profile), "and the same in the next rig");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    broken  | the constructor of p.Broken threw java.lang.IllegalStateException: no echo
                    asks    | it is asked for while it is being made; ask for it later than in a constructor
                    twists  | it is asked for while it is being made; ask for it later than in a constructor
                    nothing | p.Nothing#made gave null
                    """)
    void what_fails_is_told_with_its_way_and_all_is_well_in_the_next_rig(
            String profile, String what) throws Exception {
        Field fails = YARD.type("Broken").getField("now");
        String before = outcome(profile);
        fails.setBoolean(null, true);
        String told = outcome(profile);
        fails.setBoolean(null, false);
        assertTrue(
                told.contains(what) && told.contains("on the way  Hall (desk) → Desk (gauge)"),
                told);
        assertEquals(before, outcome(profile));
    }

    @Test
    void what_failed_is_made_when_the_same_rig_is_asked_again() throws Exception {
        Field fails = YARD.type("Broken").getField("now");
        try (Rig rig = YARD.rig("broken")) {
            fails.setBoolean(null, true);
            assertThrows(RigException.class, () -> rig.get(YARD.type("Hall")));
            fails.setBoolean(null, false);
            rig.get(YARD.type("Hall"));
        }
        assertEquals("Cable Broken Broken Mate Desk Hall", YARD.log().strip());
    }

    private static String outcome(String profile) {
        try (Rig rig = YARD.rig(profile)) {
            rig.get(YARD.type("Hall"));
        } catch (RigException failure) {
            return YARD.log() + " " + failure.getMessage();
        }
        return YARD.log();
    }

    @Test
    @Timeout(60)
    void threads_that_build_at_once_have_each_a_whole_rig_of_their_own() throws Exception {
        Yard fleet =
                Yard.of(
                        """
                        import java.util.function.Supplier;
                        public class Fleet {
                            public interface Crew {}
                            public static class Mate implements Crew { public final Ship ship; public Mate(Ship ship) { this.ship = ship; } }
                            public static class Ship { public Ship(Hull hull, Supplier<Crew> crew) {} }
                            public static class Hull { public Hull(Keel keel) {} }
                            public static class Keel {}
                            public static class Convoy {
                                public final Ship ship; public final Supplier<Crew> crew;
                                public Convoy(Ship ship, Hull hull, Supplier<Crew> crew) { this.ship = ship; this.crew = crew; }
                                public boolean isWhole() { return ((Mate) crew.get()).ship == ship && crew.get() == crew.get(); }
                            }
                        }
                        """,
                        """
                        entry: [Fleet.Convoy]
                        profiles: { t: { bindings: { Fleet.Crew: Fleet.Mate } } }
                        """);
        Class<?> convoy = fleet.type("Fleet$Convoy");
        ExecutorService pool = Executors.newFixedThreadPool(16);
        List<Future<Object>> all = new ArrayList<>();
        for (int i = 0; i < RIGS; i++) {
            all.add(
                    pool.submit(
                            () -> {
                                try (Rig rig = fleet.rig("t")) {
                                    Object made = rig.get(convoy);
                                    assertSame(made, rig.get(convoy));
                                    assertSame(made, rig.get(convoy));
                                    assertEquals(true, Yard.call(made, "isWhole"));
                                    assertEquals(5, rig.created().size());
                                    return made;
                                }
                            }));
        }
        Set<Object> distinct = Collections.newSetFromMap(new IdentityHashMap<>());
        for (Future<Object> future : all) {
            distinct.add(future.get());
        }
        pool.shutdown();
        assertEquals(RIGS, distinct.size());
    }
}
