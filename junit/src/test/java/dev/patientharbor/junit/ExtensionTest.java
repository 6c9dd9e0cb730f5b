package dev.patientharbor.junit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotSame;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.platform.engine.discovery.DiscoverySelectors.selectClass;
import static org.junit.platform.testkit.engine.EventConditions.finishedWithFailure;

import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.profiles.Supplies;
import dev.patientharbor.rig.Rig;
import gullwing.crane.CraneShed;
import gullwing.port.BerthLedger;
import gullwing.port.ManifestReader;
import gullwing.port.PilotRota;
import gullwing.port.Ship;
import gullwing.port.TideGauge;
import gullwing.port.WeatherFeed;
import gullwing.quay.ArrivalDesk;
import gullwing.quay.BridgeWatch;
import gullwing.trial.FixedTideGauge;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.platform.testkit.engine.EngineExecutionResults;
import org.junit.platform.testkit.engine.EngineTestKit;

/** The extension, as tests that are written with it see it. */
class ExtensionTest {

    static final String PORT = "../examples/port.harbor.yaml";

    /** What the sample tests saw. */
    private static final Set<Rig> RIGS = ConcurrentHashMap.newKeySet();

    static final ConcurrentLinkedQueue<String> SEEN = new ConcurrentLinkedQueue<>();

    static EngineExecutionResults run(Class<?>... samples) {
        RIGS.clear();
        SEEN.clear();
        EngineTestKit.Builder kit = EngineTestKit.engine("junit-jupiter");
        for (Class<?> sample : samples) {
            kit.selectors(selectClass(sample));
        }
        return kit.configurationParameter("junit.jupiter.execution.parallel.enabled", "true")
                .execute();
    }

    static List<String> failures(EngineExecutionResults results) {
        return results.allEvents()
                .filter(event -> event.getPayload().isPresent())
                .flatMap(
                        event ->
                                event
                                        .getPayload(
                                                org.junit.platform.engine.TestExecutionResult.class)
                                        .flatMap(result -> result.getThrowable())
                                        .stream())
                .map(Throwable::getMessage)
                .toList();
    }

    @Harbor(PORT)
    @UnderProfile("dock-test")
    @Execution(ExecutionMode.CONCURRENT)
    static class Sample {
        @FromRig private BerthLedger ledger;
        @FromRig Rig rig;

        @FromRig("coast")
        private WeatherFeed coast;

        @FromRig private Optional<PilotRota> maybe;
        @FromRig private Supplier<PilotRota> later;
        @FromRig private Map<String, WeatherFeed> feeds;
        @FromRig private ManifestReader<Ship> ships;

        @BeforeEach
        void seeWhatIsThere(ArrivalDesk desk) {
            RIGS.add(rig);
            assertSame(desk, rig.get(ArrivalDesk.class));
            assertTrue(ledger.list().isEmpty(), "each test starts with an empty ledger");
        }

        @Test
        void fields_and_parameters_come_from_one_rig(
                ArrivalDesk desk, @FromRig("coast") WeatherFeed feed, List<TideGauge> gauges) {
            desk.arrive("GULL");
            assertEquals(1, ledger.list().size());
            assertSame(coast, feed);
            assertSame(later.get(), maybe.orElseThrow());
            assertEquals(Set.of("coast", "offshore"), feeds.keySet());
            assertEquals(1, gauges.size());
            assertSame(
                    ships, rig.get(new dev.patientharbor.rig.Contract<ManifestReader<Ship>>() {}));
        }

        @Test
        void another_test_has_another_rig(ArrivalDesk desk) {
            desk.arrive("TERN");
            assertEquals(1, ledger.list().size());
        }

        @UnderProfile("rehearsal")
        @Test
        void a_method_may_name_another_profile() {
            SEEN.add(rig.profile());
        }

        @Nested
        class Inside {
            @FromRig private TideGauge gauge;

            @Test
            void nested_classes_are_under_the_profile_around_them(Rig mine) {
                assertSame(mine, rig);
                assertSame(gauge, mine.get(TideGauge.class));
                SEEN.add("nested " + mine.profile());
            }
        }
    }

    static class Heir extends Sample {
        @Test
        void what_is_inherited_holds() {
            SEEN.add("heir " + rig.profile());
        }
    }

    @Test
    void each_test_has_a_rig_of_its_own_that_is_closed_after_it() {
        run(Sample.class, Heir.class)
                .testEvents()
                .assertStatistics(it -> it.failed(0).succeeded(9));
        assertEquals(9, RIGS.size());
        for (Rig rig : RIGS) {
            assertTrue(closed(rig), "closed after its test");
        }
        assertEquals(
                List.of(
                        "heir dock-test",
                        "nested dock-test",
                        "nested dock-test",
                        "rehearsal",
                        "rehearsal"),
                SEEN.stream().sorted().toList());
    }

    private static boolean closed(Rig rig) {
        try {
            rig.get(TideGauge.class);
            return false;
        } catch (IllegalStateException said) {
            return said.getMessage().endsWith("is closed");
        }
    }

    @Harbor(PORT)
    @UnderProfile("dock-test")
    @TestInstance(Lifecycle.PER_CLASS)
    static class Swapping {
        @SwappedIn private final TideGauge high = () -> 9;

        @SwappedIn private PilotRota rota;
        private final List<PilotRota> rotas = new ArrayList<>();

        @Test
        void one(ArrivalDesk desk, CraneShed shed, Rig rig) {
            see(desk, rig);
            assertSame(high, rig.received(CraneShed.class, "gauge").outermost());
        }

        @Test
        void two(ArrivalDesk desk, Rig rig) {
            see(desk, rig);
        }

        private void see(ArrivalDesk desk, Rig rig) {
            assertTrue(desk.arrive("GULL").startsWith("GULL takes berth 1 at 9.0 m"));
            assertSame(rota, rig.received(ArrivalDesk.class, "rota").innermost());
            assertEquals(1, rig.calls(PilotRota.class).size());
            rotas.add(rota);
        }

        @AfterEach
        void each_test_has_a_mock_of_its_own() {
            assertEquals(rotas.size(), new java.util.HashSet<>(rotas).size());
        }
    }

    @Test
    void a_field_swaps_a_slot_for_its_test_alone_and_for_whoever_asks() {
        run(Swapping.class).testEvents().assertStatistics(it -> it.failed(0).succeeded(2));
    }

    @Harbor(PORT)
    @UnderProfile(value = "dock-test", oneRig = true)
    static class Together {
        @FromRig Rig rig;

        @Test
        void one() {
            RIGS.add(rig);
        }

        @Test
        void two() {
            RIGS.add(rig);
            assertFalse(closed(rig));
        }
    }

    @Test
    void all_tests_of_a_class_may_share_a_rig_that_is_closed_after_the_last() {
        run(Together.class).testEvents().assertStatistics(it -> it.failed(0).succeeded(2));
        assertEquals(1, RIGS.size());
        assertTrue(closed(RIGS.iterator().next()));
    }

    @Harbor(PORT)
    static class Complete implements CompleteProfiles {}

    static final class Broken implements Supplier<ProfileSet> {
        @Override
        public ProfileSet get() {
            return ProfileSet.define(
                    "port",
                    set -> {
                        set.entry(BridgeWatch.class);
                        set.profile(
                                "half",
                                half ->
                                        half.fill(
                                                TideGauge.class,
                                                Supplies.stub(FixedTideGauge.class)));
                        set.profile(
                                "whole",
                                whole -> {
                                    whole.extend("half");
                                    whole.fill(WeatherFeed.class, Supplies.mock());
                                });
                    });
        }
    }

    @Harbor(from = Broken.class)
    static class NotComplete implements CompleteProfiles {
        @UnderProfile("half")
        @Test
        void cannot_be_built() {}

        @UnderProfile("whole")
        @Test
        void can_be_built(BridgeWatch watch) {
            assertNotSame(null, watch);
        }

        @UnderProfile("hafl")
        @Test
        void is_not_there() {}
    }

    private static Path accepted;
    private static boolean accepts;

    @Harbor(PORT)
    static class Accepted implements AcceptedRosters {
        @Override
        public Path acceptedRoster() {
            return accepted;
        }

        @Override
        public boolean acceptsWhatIsReceived() {
            return accepts;
        }
    }

    @Test
    void what_is_accepted_once_must_be_received_until_it_is_accepted_anew(@TempDir Path folder)
            throws IOException {
        accepted = folder.resolve("some").resolve("accepted.txt");
        accepts = false;
        EngineExecutionResults missing = run(Accepted.class);
        assertTrue(failures(missing).toString().contains("-Dpatientharbor.accept=true"));
        accepts = true;
        run(Accepted.class).testEvents().assertStatistics(it -> it.failed(0).succeeded(1));
        accepts = false;
        run(Accepted.class).testEvents().assertStatistics(it -> it.failed(0).succeeded(4));
        Files.writeString(
                accepted,
                Files.readString(accepted)
                        .replaceAll(
                                "(\\| live \\| gullwing.port.PilotPager \\| ).*",
                                "$1mock, shared"));
        Files.writeString(accepted, Files.readString(accepted) + "x | y | summer | z | mock\n");
        EngineExecutionResults changed = run(Accepted.class);
        changed.testEvents().assertStatistics(it -> it.failed(2).succeeded(3));
        String told = failures(changed).toString();
        assertTrue(
                told.contains("receives something else than was accepted")
                        && told.contains("The profile summer was accepted, and is not there")
                        && told.contains("gullwing.port.PilotPager: mock, shared"),
                told);
    }

    @Harbor("no-such.harbor.yaml")
    static class NoFile {
        @UnderProfile("dock-test")
        @Test
        void nothing() {}
    }

    @Test
    void
            an_incomplete_profile_fails_the_ready_made_test_and_every_test_under_it_as_check_tells_it() {
        run(Complete.class).testEvents().assertStatistics(it -> it.failed(0).succeeded(4));
        EngineExecutionResults results = run(NotComplete.class, NoFile.class);
        results.testEvents().assertStatistics(it -> it.failed(4).succeeded(2));
        List<String> told = failures(results);
        String unmet =
                "BridgeWatch asks for WeatherFeed (constructor parameter 2, weather), and nothing"
                        + " supplies it.";
        assertEquals(
                2, told.stream().filter(line -> line.contains(unmet)).count(), told.toString());
        assertEquals(
                1,
                told.stream()
                        .filter(line -> line.equals("there is no profile hafl; did you mean half?"))
                        .count(),
                told.toString());
        assertTrue(
                told.stream().anyMatch(line -> line.contains("no-such.harbor.yaml")),
                told.toString());
        assertEquals(
                4,
                results.testEvents().failed().stream()
                        .filter(e -> finishedWithFailure().matches(e))
                        .count());
    }

    @Test
    void the_profile_can_be_set_from_outside() {
        System.setProperty("patientharbor.profile", "winter");
        try {
            run(Sample.class).testEvents().assertStatistics(it -> it.succeeded(4));
            assertEquals(
                    Set.of("winter"), RIGS.stream().map(Rig::profile).collect(Collectors.toSet()));
        } finally {
            System.clearProperty("patientharbor.profile");
        }
    }
}
