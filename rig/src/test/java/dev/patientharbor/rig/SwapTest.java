package dev.patientharbor.rig;

import static dev.patientharbor.profiles.Supplies.answers;
import static dev.patientharbor.profiles.Supplies.fake;
import static dev.patientharbor.profiles.Supplies.mock;
import static dev.patientharbor.profiles.Supplies.object;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertNotSame;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.IncompleteProfileException;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.profiles.Plan;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.profiles.SupplyDefinition;
import gullwing.crane.CraneShed;
import gullwing.port.BerthLedger;
import gullwing.port.CardTerminal;
import gullwing.port.FeeSchedule;
import gullwing.port.Locator;
import gullwing.port.ManifestReader;
import gullwing.port.PilotRota;
import gullwing.port.RadioNotice;
import gullwing.port.TideGauge;
import gullwing.port.WeatherFeed;
import gullwing.quay.ArrivalDesk;
import gullwing.quay.BerthClerk;
import gullwing.quay.BridgeWatch;
import gullwing.quay.FeeBooth;
import gullwing.quay.ForecastDesk;
import gullwing.quay.LockKeeper;
import gullwing.quay.QuayBoard;
import gullwing.quay.QuaysideKiosk;
import gullwing.quay.SeaWatch;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** One plan made into another, for one test: what is swapped reaches everyone, and nobody else. */
class SwapTest {

    private static final ProfileSet PORT =
            ProfileFiles.read(Path.of("../examples/port.harbor.yaml"));

    /** A gauge that only this test has. */
    static final class Puddle implements TideGauge {
        @Override
        public double levelNow() {
            return 0.02;
        }
    }

    @Test
    void an_object_reaches_whoever_asks_in_every_area_and_for_this_plan_alone() {
        TideGauge low = () -> 1.2;
        Plan plan = PORT.plan("dock-test");
        Plan swapped = plan.swap(TideGauge.class, low);
        assertEquals("dock-test, TideGauge swapped", swapped.profile());
        assertNotEquals(plan.fingerprint(), swapped.fingerprint());
        try (Rig rig = Rigs.build(swapped);
                Rig before = Rigs.build(plan)) {
            Map<Class<?>, String> holders =
                    Map.of(
                            ArrivalDesk.class, "gauge",
                            BridgeWatch.class, "gauge",
                            CraneShed.class, "gauge",
                            LockKeeper.class, "inner");
            holders.forEach(
                    (holder, need) -> {
                        assertSame(low, rig.received(holder, need).innermost(), need);
                        assertNotSame(low, before.received(holder, need).innermost(), need);
                    });
            assertSame(low, rig.received(LockKeeper.class, "outer").innermost());
        }
    }

    @Test
    void
            a_mock_that_is_swapped_in_is_the_same_for_whoever_asks_unless_other_layers_are_around_it() {
        try (Rig rig = Rigs.build(PORT.plan("dock-test").swap(TideGauge.class, mock()))) {
            TideGauge one = rig.get(TideGauge.class);
            assertSame(one, rig.received(CraneShed.class, "gauge").innermost());
            assertSame(one, rig.received(LockKeeper.class, "inner").innermost());
            rig.get(CraneShed.class);
            assertEquals(0, rig.calls(TideGauge.class).size());
            one.levelNow();
            assertEquals(1, rig.calls(TideGauge.class).size());
        }
        Yard yard =
                Yard.of(
                        """
                        interface Gauge {} class Sonar implements Gauge {}
                        record Levelled(Gauge inner) implements Gauge {}
                        record Desk(Gauge gauge) {} record Crane(Gauge gauge) {}
                        """,
                        """
                        entry: [Desk, Crane]
                        areas: { quay: { members: [Crane] } }
                        profiles:
                          t:
                            bindings: { Gauge: Sonar }
                            within: { quay: { bindings: { Gauge: Sonar }, decorators: { Gauge: [Levelled] } } }
                        """);
        try (Rig rig = yard.rig(yard.plan("t").swap("Gauge", mock()))) {
            HeldObject ofCrane = rig.received(yard.type("Crane"), "gauge");
            assertEquals("Levelled", ofCrane.outermost().getClass().getSimpleName());
            assertNotSame(rig.get(yard.type("Gauge")), ofCrane.innermost());
        }
    }

    @Test
    void a_keyed_swap_reaches_collections_aliases_and_deferred_needs_in_their_layers() {
        WeatherFeed hail = () -> "hail";
        try (Rig rig = Rigs.build(PORT.plan("dock-test").swap(WeatherFeed.class, "coast", hail))) {
            assertEquals("hail", rig.get(ForecastDesk.class).read("coast"));
            assertEquals("2.4 m, hail", rig.get(BridgeWatch.class).look());
            assertSame(hail, rig.received(SeaWatch.class, "coast").innermost());
            assertEquals(
                    "CachedFeed", rig.get(WeatherFeed.class, "coast").getClass().getSimpleName());
            assertEquals("hail", rig.all(WeatherFeed.class).get(0).outlook());
        }
    }

    @Test
    void whatever_may_fill_a_slot_may_be_swapped_in_classes_of_the_test_among_them() {
        Plan plan = PORT.plan("dock-test");
        SupplyDefinition ebb = answers(it -> it.call("levelNow").answers(2.1, 0.4));
        Map<String, Plan> plans =
                Map.of(
                        "0.02", plan.swap(TideGauge.class, fake(Puddle.class)),
                        "2.1", plan.swap(TideGauge.class, ebb),
                        "0.0", plan.swap(TideGauge.class, mock()),
                        "7.5", plan.swap("TideGauge", object((TideGauge) () -> 7.5).asFake()));
        plans.forEach(
                (level, swapped) -> {
                    try (Rig rig = Rigs.build(swapped)) {
                        assertEquals(level, "" + rig.get(TideGauge.class).levelNow());
                    }
                });
        TideGauge unnamed =
                new TideGauge() {
                    @Override
                    public double levelNow() {
                        return 1;
                    }
                };
        record Local(double levelNow) implements TideGauge {}
        assertEquals("stub SwapTest$1", gaugeOfDesk(plan.swap(TideGauge.class, unnamed)));
        assertEquals("stub SwapTest$1Local", gaugeOfDesk(plan.swap(TideGauge.class, new Local(2))));
        assertEquals("stub", gaugeOfDesk(plan.swap(TideGauge.class, () -> 3)));
        Plan ships = plan.swap("ManifestReader<Ship>", mock());
        assertEquals("mock", ships.roster().of(BerthClerk.class).need("ships").received());
        assertEquals(
                "real CargoManifestReader",
                ships.roster().of(BerthClerk.class).need("cargo").received());
        assertTrue(
                assertThrows(
                                IllegalArgumentException.class,
                                () -> plan.swap(ManifestReader.class, mock()))
                        .getMessage()
                        .startsWith("nothing asks for ManifestReader in dock-test"));
    }

    private static String gaugeOfDesk(Plan plan) {
        return plan.roster().of(ArrivalDesk.class).need("gauge").received();
    }

    @Test
    void a_swap_that_breaks_a_rule_of_the_profile_is_refused_as_check_would_tell_it() {
        IncompleteProfileException refused =
                assertThrows(
                        IncompleteProfileException.class,
                        () -> PORT.plan("live").swap(CardTerminal.class, mock()));
        assertTrue(refused.getMessage().contains("rule-broken"), refused.getMessage());
        assertTrue(refused.getMessage().contains("SwapTest.java:"), refused.getMessage());
    }

    @Test
    void a_consumer_alone_has_mocks_around_it_but_for_what_is_kept() {
        Plan live = PORT.plan("rehearsal");
        Plan alone = live.solo(ArrivalDesk.class).keeping(TideGauge.class);
        assertEquals("rehearsal, ArrivalDesk solo", alone.profile());
        List<String> received = new ArrayList<>();
        for (RosterRow row : alone.roster().rows()) {
            received.add(row.need() + " " + row.answer().kind().word());
        }
        assertEquals(List.of("ledger mock", "rota mock", "gauge fake"), received);
        try (Rig rig = Rigs.build(alone)) {
            rig.get(ArrivalDesk.class).arrive("Petrel");
            assertEquals(0, rig.calls(BerthLedger.class).size(), "the tide is too low");
        }
        try (Rig rig = Rigs.build(live.solo(ArrivalDesk.class).keepingNothing())) {
            assertTrue(rig.get(ArrivalDesk.class).arrive("Petrel").contains("waits"));
            assertEquals("[levelNow()]", rig.calls(TideGauge.class).toString());
        }
        Plan desk = live.solo(ForecastDesk.class).keepingNothing();
        try (Rig rig = Rigs.build(desk)) {
            assertEquals("", rig.get(ForecastDesk.class).read("estuary"));
        }
        assertTrue(
                assertThrows(
                                IllegalArgumentException.class,
                                () -> live.solo(FeeBooth.class).keeping(PilotRota.class))
                        .getMessage()
                        .contains("does not need gullwing.port.PilotRota"));
        Plan booth = live.solo(FeeBooth.class).keeping(FeeSchedule.class);
        assertEquals(
                "HarbourLevy → real TonnageFee",
                booth.roster().of(FeeBooth.class).need("fees").received());
    }

    @Test
    void fields_setters_and_lookups_in_the_middle_of_a_method_meet_what_was_swapped_in() {
        List<String> heard = new ArrayList<>();
        Plan plan =
                PORT.plan("dock-test")
                        .swap(RadioNotice.class, heard::add)
                        .swap(WeatherFeed.class, () -> "fog");
        try (Rig rig = Rigs.build(plan)) {
            rig.get(QuayBoard.class).show("berth 1");
            assertEquals(1, heard.size());
            Locator locator = rig.get(Locator.class);
            rig.eachLookup((type, key, object) -> put(locator, type, object));
            assertTrue(rig.get(QuaysideKiosk.class).serve("Ada").endsWith("it will be fog"));
        }
    }

    @Test
    void slots_are_named_as_in_the_file_and_contracts_with_type_arguments_are_seen_too()
            throws Exception {
        Yard yard =
                Yard.of(
                        """
                        public class Shop {
                            public interface Clock { int now(); }
                            public interface Reader<T> { T read(); }
                            public record Desk(Clock clock, Reader<String> reader) {}
                            public record Wall(Clock[] clocks) {}
                        }
                        """,
                        """
                        entry: [Shop.Desk]
                        profiles: { t: { bindings: {
                          Shop.Clock: mock, Shop.Clock@other: mock, "Shop.Reader<String>": mock } } }
                        """);
        for (String written : List.of("Shop.Clock", "Clock", "p.Shop.Clock", "p.Shop$Clock")) {
            assertNotEquals(
                    yard.plan("t"),
                    yard.plan("t").swap(written, answers(it -> it.call("now").answers(5))),
                    written);
        }
        try (Rig rig =
                yard.rig(
                        yard.plan("t")
                                .swap("Shop.Clock", answers(it -> it.call("now").answers(5))))) {
            Object desk = rig.get(yard.type("Shop$Desk"));
            assertEquals(5, Yard.call(Yard.call(desk, "clock"), "now"));
            Object clocks =
                    rig.get(yard.type("Shop$Clock").arrayType(), java.util.Optional.empty());
            assertEquals(2, java.lang.reflect.Array.getLength(clocks));
        }
        Plan port = PORT.plan("dock-test").swap("ManifestReader<Ship>", mock());
        Contract<ManifestReader<gullwing.port.Ship>> ships = new Contract<>() {};
        try (Rig rig = Rigs.build(port)) {
            rig.get(ships).read(List.of("a line"));
            assertEquals("[read([\"a line\"])]", rig.calls(ships).toString());
            assertEquals(1, rig.recording(ships).answers().size());
        }
    }

    @SuppressWarnings("unchecked")
    private static <T> void put(Locator locator, Class<T> type, Object object) {
        locator.put(type, (T) object);
    }
}
