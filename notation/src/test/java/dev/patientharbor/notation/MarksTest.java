package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.patientharbor.plan.RosterRow;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The annotations and lookups of a house, which know nothing of ours. */
class MarksTest {

    private static final String HOUSE =
            """
            import java.lang.annotation.*;
            import java.util.function.Supplier;
            @Retention(RetentionPolicy.RUNTIME) @interface Wired {}
            @Retention(RetentionPolicy.RUNTIME) @interface Called { String value() default ""; }
            @Retention(RetentionPolicy.RUNTIME) @interface MayBeMissing {}
            class Locator {
                <T> T find(Class<T> type) { return null; }
                <T> T find(Class<T> type, String key) { return null; }
                static <T> T lookUp(Class<T> type) { return null; }
            }
            interface Feed {} class Coast implements Feed {} class Mud implements Feed {}
            interface Gauge {} class Sonar implements Gauge { Sonar(Clock clock) {} }
            interface Clock {}
            """;

    @Test
    void marks_of_the_house_mean_what_the_standard_s_mean() {
        Situation it =
                Situation.of(
                                HOUSE
                                        + """
                                        class Desk {
                                            Desk() {}
                                            @Wired Desk(@Called("coast") Feed coast, @MayBeMissing Clock clock) {}
                                            @Wired Gauge gauge;
                                            @Wired void setFeed(@Called Feed plain) {}
                                        }
                                        """,
                                """
                                marks: { inject: [Wired], key: [p.Called], absent: [MayBeMissing] }
                                entry: [Desk]
                                profiles:
                                  test: { bindings: { Feed@coast: Coast, Feed: Mud, Gauge: mock } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                List.of(
                        "Desk.coast: Feed@coast = real Coast",
                        "Desk.clock: Clock = absent",
                        "Desk.gauge: Gauge = mock",
                        "Desk.plain: Feed = real Mud"),
                it.all("test"));
        assertEquals("none", it.row("test", "Desk.clock").carrier().orElse("none"));
    }

    @Test
    void n69_lookups_in_bodies_are_needs_with_their_keys_and_are_followed_and_checked() {
        Situation it =
                Situation.of(
                                HOUSE
                                        + """
                                        class Kiosk {
                                            private final Locator locator = new Locator();
                                            String open(String day) {
                                                Feed coast = locator.find(Feed.class, "coast");
                                                Gauge gauge = locator.find(Gauge.class);
                                                Feed unknown = locator.find(Feed.class, day);
                                                return "" + coast + gauge + unknown;
                                            }
                                            Supplier<Object> later() { return () -> Locator.lookUp(Feed.class); }
                                            String other() { return String.valueOf(Clock.class); }
                                        }
                                        """,
                                """
                                marks: { lookup: ["p.Locator#find", "Locator#lookUp"] }
                                entry: [p.*]
                                profiles:
                                  test:
                                    bindings: { Feed@coast: Coast, Feed: Mud, Gauge: Sonar }   # <- unmet-need
                                  whole: { bindings: { Feed@coast: Coast, Feed: Mud, Gauge: Sonar, Clock: mock } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                List.of("lookup:later:0 Feed", "lookup:open:0 Feed@coast", "lookup:open:1 Gauge"),
                it.verdict().roster("whole").rows().stream()
                        .filter(row -> row.consumer().equals("p.Kiosk"))
                        .map(row -> row.place().code() + " " + text(it, row))
                        .toList());
        assertEquals(
                "lookup 2 in open", it.verdict().roster("whole").rows().get(2).place().words());
        assertEquals("mock", it.received("whole", "Sonar.clock"));
    }

    @Test
    void n69_a_lookup_may_have_a_constant_of_an_enum_as_its_key_and_only_a_constant() {
        Situation it =
                Situation.of(
                                """
                                import java.util.*;
                                enum Zone { COAST, SEA; static Zone any() { return SEA; } }
                                interface Feed {} class Coast implements Feed {} class Mud implements Feed {}
                                class Locator {
                                    static <T> T find(Class<T> type, Zone key) { return null; }
                                    static <T> T all(Class<T> type, Zone key, int more) { return null; }
                                }
                                class Kiosk {
                                    static final Zone FIXED = Zone.SEA;
                                    Feed open() { return Locator.find(Feed.class, Zone.COAST); }
                                    Feed shut() { return Locator.find(Feed.class, Zone.any()); }
                                    Feed late() { return Locator.all(Feed.class, Zone.SEA, 3); }
                                    Feed fixed() { return Locator.find(Feed.class, Kiosk.FIXED); }
                                    Feed held(Zone zone) { return Locator.find(Feed.class, zone); }
                                }
                                """,
                                """
                                marks: { lookup: ["Locator#find"] }
                                entry: [Kiosk]
                                profiles:
                                  test: { bindings: { Feed@COAST: Coast, Feed@SEA: Mud } }   # <- unused-binding
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                List.of("lookup:open:0 Feed@COAST"),
                it.verdict().roster("test").rows().stream()
                        .map(row -> row.place().code() + " " + text(it, row))
                        .toList());
    }

    private static String text(Situation it, RosterRow row) {
        return row.slot().text(it.verdict()::shortName);
    }
}
