package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What may fill a slot that nothing binds, where the file allows it. */
class FillInTest {

    private static final String CODE =
            """
            import jakarta.inject.*;
            import java.util.*;
            interface Fee { Fee NONE = new Fee() {}; }
            class Tonnage implements Fee {}
            class Levy implements Fee { Levy(Fee inner) {} }
            class Night implements Fee { Night(Object any, Fee inner) {} }
            abstract class Half implements Fee {}
            interface Feed {}
            @Named("coast") class Coast implements Feed {}
            @Singleton @Named class Mud implements Feed {}
            @javax.inject.Named("sea") class Sea implements Feed {}
            class Plain implements Feed {}
            interface Clock {}
            class Wall implements Clock {} class Stopped implements Clock {}
            class Booth { Booth(Fee fee) {} }
            class Desk { Desk(@Named("coast") Feed coast, Feed plain, Optional<Clock> clock) {} }
            class Room { Room(List<Feed> all, Map<String, Feed> byKey) {} }
            class Watch { Watch(Clock clock) {} }
            """;

    @Test
    void decision_25_sole_takes_the_only_one_that_wraps_nothing_and_can_be_made() {
        Situation it =
                Situation.of(
                                CODE,
                                """
                                fill-in: [sole]
                                entry: [Booth]
                                profiles:
                                  bare: {}
                                  layered: { decorators: { Fee: [Levy] } }
                                  listed: { bindings: { Fee: mock } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Tonnage", it.received("bare", "Booth.fee"));
        assertEquals("Levy > real Tonnage", it.received("layered", "Booth.fee"));
        assertEquals("mock", it.received("listed", "Booth.fee"), "what is listed beats it");
        assertEquals("sole", it.row("bare", "Booth.fee").answer().filledBy().orElseThrow().word());
    }

    @Test
    void a_class_that_only_itself_can_make_fills_nothing_in_unless_a_mark_opens_it() {
        Situation it =
                Situation.of(
                        """
                        import jakarta.inject.*;
                        interface Feed {} interface Clock {} interface Gauge {}
                        class Closed implements Feed { private Closed() {} }
                        class Opened implements Clock { @Inject private Opened() {} }
                        class Shut implements Gauge { private Shut() {} }
                        class Sonar implements Gauge {}
                        class Desk { Desk(Feed feed, Clock clock, Gauge gauge) {} }
                        """,
                        """
                        fill-in: [sole]
                        entry: [Desk]
                        profiles:
                          test: {}
                        """);
        assertEquals("unmet", it.received("test", "Desk.feed"));
        assertEquals("real Opened", it.received("test", "Desk.clock"));
        assertEquals("real Sonar", it.received("test", "Desk.gauge"));
    }

    @Test
    void decision_25_marked_classes_fill_by_their_name_and_an_empty_name_is_no_key() {
        Situation it =
                Situation.of(
                                CODE,
                                """
                                fill-in: [marked]
                                entry: [Desk, Room]
                                profiles:
                                  bare: {}
                                  listed: { bindings: { Feed@coast: Plain, Feed@added: Plain } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("real Coast", it.received("bare", "Desk.coast"));
        assertEquals("real Mud", it.received("bare", "Desk.plain"));
        assertEquals("shared by its mark", it.lifetime("bare", "Desk.plain"));
        assertEquals("absent", it.received("bare", "Desk.clock"));
        assertEquals("real Plain", it.received("listed", "Desk.coast"));
        assertEquals(List.of("Coast", "Mud", "Sea"), elements(it, "bare", "Room.all"));
        assertEquals(List.of("Coast", "Sea"), elements(it, "bare", "Room.byKey"));
        assertEquals(List.of("Plain", "Plain", "Mud", "Sea"), elements(it, "listed", "Room.all"));
        assertNotEquals("none", it.instance("bare", "Desk.plain"));
    }

    private static List<String> elements(Situation it, String profile, String need) {
        return it.row(profile, need).answer().elements().stream()
                .map(
                        element ->
                                it.verdict()
                                        .shortName(element.answer().implementation().orElseThrow()))
                .toList();
    }

    @Test
    void two_that_may_fill_in_are_two_candidates_even_for_what_may_be_absent() throws IOException {
        Path classes = JavaCode.compileAnew("package p;\n" + CODE);
        Path services = Files.createDirectories(classes.resolve("META-INF/services"));
        Files.writeString(services.resolve("p.Clock"), "p.Wall # the one\n\np.Stopped\n");
        Situation two =
                Situation.of(
                                classes,
                                """
                                fill-in: [services]
                                entry: [Watch, Desk]
                                profiles:
                                  test: { bindings: { Feed: Plain, Feed@coast: Plain } }   # <- two-candidates
                                """)
                        .tellsWhatIsMarked();
        assertEquals("Stopped, Wall", two.detail("two-candidates", "classes"));
        Situation all =
                Situation.of(
                        classes,
                        "fill-in: [services, marked]\n"
                            + "consumers: { page: { needs: { all: List<Clock> } } }\n"
                            + "profiles: { test: {}, spied: { decorators: { Clock: [spy] } } }\n");
        for (String profile : List.of("test", "spied")) {
            assertEquals(
                    List.of("services", "services"),
                    all.row(profile, "page.all").answer().elements().stream()
                            .map(element -> element.answer().filledBy().orElseThrow().word())
                            .toList(),
                    profile);
        }
        Files.writeString(services.resolve("p.Clock"), "p.Wall\n");
        Situation one =
                Situation.of(
                        classes, "fill-in: [services]\nentry: [Watch]\nprofiles: { test: {} }\n");
        assertEquals("real Wall", one.received("test", "Watch.clock"));
    }
}
