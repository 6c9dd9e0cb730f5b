package dev.patientharbor.junit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotSame;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.rig.Rig;
import gullwing.port.BerthLedger;
import gullwing.port.ManifestReader;
import gullwing.port.PilotRota;
import gullwing.port.PortClock;
import gullwing.port.TicketMaker;
import gullwing.port.TideGauge;
import gullwing.port.WeatherFeed;
import gullwing.quay.ArrivalDesk;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.platform.engine.TestExecutionResult;
import org.junit.platform.testkit.engine.EngineExecutionResults;
import org.junit.platform.testkit.engine.Event;

/** One test that runs several times: under several profiles, or for several implementations. */
class SeveralRunsTest {

    @Harbor(ExtensionTest.PORT)
    static class Each {
        @FromRig BerthLedger ledger;

        @EachProfile
        void under_each(ArrivalDesk desk, Rig rig) {
            ExtensionTest.SEEN.add(rig.profile() + " " + ledger.getClass().getSimpleName());
            assertNotSame(null, desk);
        }

        @EachProfile({"winter", "live"})
        void under_some(Rig rig) {
            ExtensionTest.SEEN.add("some " + rig.profile());
        }

        @EachImplementation(WeatherFeed.class)
        void keeps_the_same_behaviour(WeatherFeed feed) {
            ExtensionTest.SEEN.add("feed " + feed.getClass().getSimpleName());
            assertFalse(feed.outlook().isEmpty());
        }

        @EachImplementation(PilotRota.class)
        void of_a_contract_with_one_that_nobody_uses(PilotRota rota) {
            assertFalse(rota.onDuty().isEmpty());
        }
    }

    @Harbor(ExtensionTest.PORT)
    @UnderProfile("dock-test")
    static class Mixed {
        @FromRig Rig field;

        @Test
        void alone(
                Rig rig,
                Supplier<BerthLedger> later,
                Optional<TideGauge> maybe,
                List<TicketMaker> all) {
            assertSame(rig.get(BerthLedger.class), later.get());
            assertSame(rig.get(TideGauge.class), maybe.orElseThrow());
            assertEquals(rig.all(TicketMaker.class), all);
            seen(rig, "alone");
        }

        @EachProfile({"winter", "live"})
        void under_each(Rig rig) {
            seen(rig, "each");
        }

        @EachImplementation(value = BerthLedger.class, profiles = "live")
        void for_each(BerthLedger ledger, Rig rig) {
            seen(rig, ledger.getClass().getSimpleName());
        }

        private void seen(Rig rig, String test) {
            assertSame(field, rig);
            ExtensionTest.SEEN.add(test + " " + rig.profile());
        }
    }

    @Test
    void a_class_under_one_profile_may_have_tests_that_run_under_others() {
        ExtensionTest.run(Mixed.class).testEvents().assertStatistics(it -> it.started(4).failed(0));
        assertEquals(
                Set.of("alone dock-test", "each winter", "each live", "DiskBerthLedger live"),
                Set.copyOf(ExtensionTest.SEEN));
    }

    @Harbor(ExtensionTest.PORT)
    static class Every implements EveryImplementationTested {
        @Override
        public Set<Class<?>> leftOut() {
            return Set.of(BerthLedger.class, ManifestReader.class, TicketMaker.class);
        }
    }

    @Harbor(ExtensionTest.PORT)
    static class AtTheDock {
        @EachImplementation(value = TideGauge.class, profiles = "dock-test")
        void reaches_those_of_one_profile(TideGauge gauge) {}
    }

    @Harbor("../examples/storm.harbor.yaml")
    static class InAStorm {
        @EachImplementation(PortClock.class)
        void is_about_other_profiles(PortClock clock) {}
    }

    @Test
    void each_contract_whose_implementations_no_test_reaches_fails_and_names_them() {
        Map<String, String> told =
                ExtensionTest.run(Every.class).testEvents().finished().stream()
                        .collect(
                                Collectors.toMap(
                                        event -> event.getTestDescriptor().getDisplayName(),
                                        SeveralRunsTest::failure));
        assertEquals(
                Set.of("PortClock", "RadioNotice", "TideGauge", "WeatherFeed"),
                told.keySet().stream()
                        .map(name -> name.replace("gullwing.port.", ""))
                        .collect(Collectors.toSet()));
        assertEquals("", told.get("gullwing.port.WeatherFeed"), "a test above reaches all");
        assertEquals(
                """
                no test reaches these implementations of gullwing.port.TideGauge:
                  real SonarTideGauge, as in live
                Mark a test of that contract with @EachImplementation(TideGauge.class), or name it in leftOut().\
                """,
                told.get("gullwing.port.TideGauge"));
        assertTrue(
                told.get("gullwing.port.PortClock")
                        .contains(
                                "stub StoppedClock, as in dock-test\n"
                                        + "  factory Clocks#wall, as in rehearsal"),
                told.toString());
    }

    private static String failure(Event finished) {
        return finished.getPayload(TestExecutionResult.class)
                .flatMap(TestExecutionResult::getThrowable)
                .map(Throwable::getMessage)
                .orElse("");
    }

    @Test
    void one_test_runs_under_each_profile_and_for_each_implementation_in_use() {
        EngineExecutionResults results = ExtensionTest.run(Each.class);
        results.testEvents().assertStatistics(it -> it.failed(0));
        assertEquals(
                new TreeSet<>(
                        List.of(
                                "dock-test MemoryBerthLedger",
                                "winter MemoryBerthLedger",
                                "rehearsal DiskBerthLedger",
                                "live DiskBerthLedger",
                                "some winter",
                                "some live",
                                "feed CoastFeed",
                                "feed EstuaryFeed",
                                "feed OffshoreFeed",
                                "feed CalmFeed")),
                new TreeSet<>(ExtensionTest.SEEN));
        List<String> names =
                results.testEvents().started().stream()
                        .map(event -> event.getTestDescriptor().getDisplayName())
                        .toList();
        assertTrue(
                names.containsAll(List.of("under live", "stub CalmFeed, as in rehearsal")),
                names.toString());
        String entries =
                results.allEvents().reportingEntryPublished().stream()
                        .map(Event::getPayload)
                        .map(Object::toString)
                        .collect(Collectors.joining());
        assertTrue(
                entries.contains(
                        "gullwing.trial.PaperPilotRota, gullwing.wreck.CargoRota,"
                                + " gullwing.wreck.TwoWayRota: no profile uses what implements"
                                + " PilotRota"),
                entries);
    }
}
