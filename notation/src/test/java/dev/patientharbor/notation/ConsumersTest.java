package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Consumers that the file states: methods with what their callers pass, and what is no class. */
class ConsumersTest {

    private static final String PORT =
            """
            import jakarta.inject.*;
            interface Ledger {} class Disk implements Ledger { Disk(Clock clock) {} }
            interface Clock {} class Wall implements Clock {}
            interface Feed {}
            class Room {
                @Inject Clock clock;
                @Inject void setFeed(Feed feed) {}
                String moor(Ledger ledger, int hour) { return ""; }
                static void ring(@Named("coast") Feed feed) {}
                void twice() {} void twice(int more) {}
            }
            """;

    @Test
    void n03_each_place_is_listed_with_its_true_kind_and_n04_what_the_caller_passes_is_none() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                consumers:
                                  Room#moor: { passed: [hour] }
                                  Room#ring: {}
                                  arrivals.page: { needs: { ledger: Ledger, later: "Supplier<Feed>@coast" } }
                                profiles:
                                  test: { bindings: { Ledger: Disk, Clock: Wall, Feed: mock, Feed@coast: mock } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals(
                List.of(
                        "arrivals.page later: declared",
                        "arrivals.page ledger: declared",
                        "p.Disk clock: constructor parameter 1",
                        "p.Room clock: field",
                        "p.Room ledger: method moor, parameter 1",
                        "p.Room feed: method ring, parameter 1",
                        "p.Room feed: setter setFeed"),
                it.verdict().roster("test").rows().stream()
                        .map(row -> row.consumer() + ' ' + row.need() + ": " + row.place().words())
                        .toList());
        assertEquals("Supplier", it.row("test", "arrivals.page.later").carrier().orElseThrow());
        assertEquals(
                List.of("p.Room method:moor(p.Ledger,int):1 hour int"),
                it.verdict().roster("test").passed().stream()
                        .map(
                                passed ->
                                        passed.consumer()
                                                + ' '
                                                + passed.place().code()
                                                + ' '
                                                + passed.name()
                                                + ' '
                                                + passed.type().text())
                        .toList());
    }

    @Test
    void n04_an_unmet_parameter_is_told_as_unmet_and_one_that_nobody_passes_as_a_value() {
        Situation it =
                Situation.of(
                        PORT,
                        """
                        consumers: { Room#moor: {} }
                        profiles:
                          test: { bindings: { Clock: Wall, Feed: mock } }
                        """);
        assertEquals(
                "Room asks for Ledger (method moor, parameter 1, ledger), and nothing supplies it.",
                it.finding("unmet-need").message());
        assertEquals(List.of("p.Room#moor"), it.finding("unmet-need").entries());
        assertTrue(it.finding("value-missing").message().contains("parameter 2, hour"));
        assertTrue(it.detail("value-missing", "do").contains("passed: [hour]"));
    }

    @Test
    void stated_consumers_that_do_not_exist_are_told() {
        Situation.of(
                        PORT,
                        """
                        consumers:
                          Room#more: {}                   # <- handler-unfit
                          Room#twice: {}                  # <- handler-unfit
                          Rome#moor: {}                   # <- unknown-class
                          Room#moor: { passed: [hour, our] }    # <- handler-unfit
                          page: { needs: { x: Lodger } }  # <- unknown-class
                          script: {}                      # <- malformed-file
                        profiles:
                          test: { bindings: { Ledger: mock, Clock: mock, Feed: mock } }
                        """)
                .tellsWhatIsMarked();
    }

    @Test
    void a_stated_consumer_may_stand_in_an_area_or_have_words_of_its_own() {
        Situation it =
                Situation.of(
                                PORT,
                                """
                                consumers:
                                  arrivals.page: { needs: { clock: Clock } }
                                  departures.page: { needs: { clock: Clock } }
                                areas: { hall: { members: [departures.page] } }
                                profiles:
                                  test:
                                    within:
                                      hall: { bindings: { Clock: mock } }
                                      arrivals.page: { bindings: { Clock: { stub: Wall } } }
                                """)
                        .tellsWhatIsMarked();
        assertEquals("mock", it.received("test", "departures.page.clock"));
        assertEquals("stub Wall", it.received("test", "arrivals.page.clock"));
    }
}
