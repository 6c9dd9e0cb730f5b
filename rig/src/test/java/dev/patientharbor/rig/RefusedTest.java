package dev.patientharbor.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import dev.patientharbor.profiles.Supplies;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.function.Executable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What cannot be made or had is told with what, where, the way there and what to do. */
class RefusedTest {

    private static final Yard BROKEN =
            Yard.of(
                    """
                    import java.util.function.Supplier;
                    interface Gauge {}
                    class Sonar implements Gauge { Sonar() { throw new IllegalStateException("no sonar"); } }
                    class Levelled implements Gauge { Levelled(Gauge inner) { throw new RuntimeException("crooked"); } }
                    class Makers {
                        static Gauge none() { return null; }
                        static Gauge fails() throws Exception { throw new java.io.IOException("no line"); }
                    }
                    class Eager implements Gauge { Eager(Supplier<Desk> desk) { desk.get(); } }
                    abstract class Half implements Gauge {}
                    record Fixed() implements Gauge {}
                    record Desk(Gauge gauge) {}
                    record Hall(Desk desk) {}
                    record Odd(Half half) {}
                    """,
                    """
                    entry: [Hall]
                    profiles:
                      base: { partial: true }
                      threw: { extends: base, bindings: { Gauge: Sonar } }
                      layer: { extends: base, bindings: { Gauge: Fixed }, decorators: { Gauge: [Levelled] } }
                      gave-null: { extends: base, bindings: { Gauge: { factory: "Makers#none" } } }
                      factory: { extends: base, bindings: { Gauge: { factory: "Makers#fails" } } }
                      too-early: { extends: base, bindings: { Gauge: Eager } }
                      mocked: { extends: base, bindings: { Gauge: Fixed, Half: mock, Odd: Odd } }
                    """);

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            textBlock =
                    """
                    threw; the constructor of p.Sonar threw java.lang.IllegalStateException: no sonar; 6:39
                    layer; the constructor of p.Levelled threw java.lang.RuntimeException: crooked; 7:39
                    gave-null; the factory p.Makers#none gave null; 8:43
                    factory; the factory p.Makers#fails threw java.io.IOException: no line; 9:41
                    """)
    void what_cannot_be_made_is_told_with_profile_slot_place_and_way(
            String profile, String what, String place) {
        try (Rig rig = BROKEN.rig(profile)) {
            RigException told =
                    assertThrows(RigException.class, () -> rig.get(BROKEN.type("Hall")));
            assertEquals(
                    "no Gauge in "
                            + profile
                            + ": "
                            + what
                            + "\n  said at     f:"
                            + place
                            + "\n  on the way  Hall (desk) → Desk (gauge)",
                    told.getMessage());
        }
    }

    @Test
    void what_is_asked_for_in_its_own_making_or_of_a_class_that_nobody_can_mock_is_told() {
        Map<String, List<String>> expected =
                Map.of(
                        "too-early",
                        List.of("Hall", "it is asked for while it is being made"),
                        "mocked",
                        List.of(
                                "Half",
                                "a mock can be made of an interface, and p.Half is a class"));
        expected.forEach(
                (profile, told) -> {
                    try (Rig rig = BROKEN.rig(profile)) {
                        String message =
                                assertThrows(
                                                RuntimeException.class,
                                                () -> rig.get(BROKEN.type(told.get(0))))
                                        .getMessage();
                        assertEquals(true, message.contains(told.get(1)), message);
                    }
                });
    }

    @Test
    void a_member_that_its_module_does_not_open_is_told_with_what_to_write() throws Exception {
        var closed = String.class.getDeclaredField("value");
        String message =
                assertThrows(RigException.class, () -> MemberAccess.open(closed)).getMessage();
        assertEquals(
                "java.lang.String is in the module java.base, which does not open it: write 'opens"
                        + " java.lang;' in its module-info.java, or run with --add-opens"
                        + " java.base/java.lang=ALL-UNNAMED",
                message);
    }

    @Test
    void unknown_slots_keys_and_needs_are_answered_with_those_that_there_are() {
        Rig rig = BuildingTest.PORT.rig("port");
        Map<String, Executable> expected =
                Map.of(
                        "there is no Gauge@c in port; its keys are b",
                        () -> rig.get(BuildingTest.PORT.type("Gauge"), "c"),
                        "there is no Sonar in port; only what entry consumers lead to and what is"
                                + " bound can be had: add it to 'entry', or bind it",
                        () -> rig.get(BuildingTest.PORT.type("Sonar")),
                        "p.Watch has no need clok; did you mean clock?",
                        () -> rig.received(BuildingTest.PORT.type("Watch"), "clok"),
                        "port makes no p.Tower",
                        () -> rig.received(BuildingTest.PORT.type("Tower"), "x"),
                        "nobody sees the calls of Gauge in port, for it is no mock and no stub with"
                                + " canned answers: decorate it with spy",
                        () -> rig.calls(BuildingTest.PORT.type("Gauge")),
                        "nothing asks for Gauge@c in port; near: Gauge@b, Gauge, Gauge[]",
                        () ->
                                BuildingTest.PORT
                                        .plan("port")
                                        .swap(
                                                BuildingTest.PORT.type("Gauge").getName() + "@c",
                                                Supplies.mock()));
        expected.forEach(
                (message, call) ->
                        assertEquals(
                                message,
                                assertThrows(IllegalArgumentException.class, call).getMessage()));
        Supplier<?> later = rig.later(BuildingTest.PORT.type("Gauge"));
        later.get();
        rig.close();
        Class<?> gauge = BuildingTest.PORT.type("Gauge");
        for (Executable call :
                List.<Executable>of(
                        () -> rig.get(gauge),
                        () -> rig.get(gauge, "b"),
                        () -> rig.get(gauge, Optional.empty()),
                        () -> rig.maybe(gauge),
                        () -> rig.later(gauge),
                        later::get,
                        () -> rig.fresh(gauge),
                        () -> rig.held(gauge, Optional.empty()),
                        rig::openScope)) {
            assertEquals(
                    "the rig of port is closed",
                    assertThrows(IllegalStateException.class, call).getMessage());
        }
    }
}
