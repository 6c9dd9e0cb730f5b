package dev.patientharbor.mockito;

import static dev.patientharbor.profiles.Supplies.mock;
import static dev.patientharbor.profiles.Supplies.real;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.clearInvocations;
import static org.mockito.Mockito.mockingDetails;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import gullwing.board.Notice;
import gullwing.board.NoticeBoard;
import gullwing.port.BerthLedger;
import gullwing.port.PilotRota;
import gullwing.port.TideGauge;
import gullwing.quay.ArrivalDesk;
import gullwing.trial.FixedTideGauge;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** With this module on the class path, what a profile mocks is a mock of Mockito. */
class MockitoMocksTest {

    /** A contract that is a class. */
    abstract static class Lamp {
        abstract String colour();

        Optional<String> name() {
            return Optional.of("never met");
        }
    }

    record Tower(Lamp lamp, Buoy buoy) {}

    static final class Buoy {
        int depth() {
            return 7;
        }
    }

    private static ProfileSet mockedPort() {
        return ProfileSet.define(
                "port",
                set -> {
                    set.entry(ArrivalDesk.class);
                    set.profile(
                            "test",
                            it -> {
                                it.fill(BerthLedger.class, mock());
                                it.fill(PilotRota.class, mock());
                                it.fill(TideGauge.class, real(FixedTideGauge.class));
                            });
                });
    }

    @Test
    void stubbing_and_verifying_work_on_what_the_consumer_holds() {
        try (Rig rig = Rigs.build(mockedPort().plan("test"))) {
            PilotRota rota = rig.get(PilotRota.class);
            when(rota.onDuty()).thenReturn("Ada Brook");
            when(rig.get(BerthLedger.class).reserve(anyString())).thenReturn(3);
            assertEquals(
                    "GULL takes berth 3 at 2.4 m, with Ada Brook",
                    rig.get(ArrivalDesk.class).arrive("GULL"));
            verify(rig.get(BerthLedger.class)).reserve("GULL");
            verify(rig.get(BerthLedger.class), never()).release(anyString());
            assertEquals("onDuty()", rig.calls(PilotRota.class).get(0).toString());
            assertEquals(
                    Optional.of(ArrivalDesk.class.getName()),
                    rig.calls(PilotRota.class).get(0).caller());
            assertEquals(
                    "[reserve(\"GULL\")]",
                    rig.calls(BerthLedger.class).toString(),
                    "what was said to set up and to verify is no call");
            assertEquals(2, rig.trace().calls().size());
            assertEquals(List.of(), rig.usage().bypassed());
            assertEquals("mock of PilotRota", rota.toString());
        }
    }

    @Test
    void the_calls_of_a_mock_of_ones_own_are_seen_too() {
        PilotRota own = org.mockito.Mockito.mock(PilotRota.class);
        when(own.onDuty()).thenReturn("Ada Brook");
        var plan = mockedPort().plan("test").swap(PilotRota.class, own);
        try (Rig rig = Rigs.build(plan)) {
            assertEquals(
                    "GULL takes berth 0 at 2.4 m, with Ada Brook",
                    rig.get(ArrivalDesk.class).arrive("GULL"));
            assertEquals("[onDuty()]", rig.calls(PilotRota.class).toString());
        }
    }

    @Test
    void abstract_classes_and_final_ones_can_be_mocked_and_answer_neutrally() {
        ProfileSet set =
                ProfileSet.define(
                        "tower",
                        it -> {
                            it.entry(Tower.class);
                            it.profile(
                                    "test",
                                    test -> {
                                        test.fill(Lamp.class, mock());
                                        test.fill(Buoy.class, mock());
                                    });
                        });
        try (Rig rig = Rigs.build(set.plan("test"))) {
            Tower tower = rig.get(Tower.class);
            assertEquals(Optional.empty(), tower.lamp().name());
            assertEquals("", tower.lamp().colour());
            assertEquals(0, tower.buoy().depth());
            assertEquals(true, mockingDetails(tower.buoy()).isMock());
            assertEquals(2, rig.calls(Lamp.class).size());
            clearInvocations(tower.lamp());
            assertEquals(0, rig.calls(Lamp.class).size(), "what Mockito forgets is forgotten");
            tower.lamp().colour();
            assertEquals("[colour()]", rig.calls(Lamp.class).toString());
        }
    }

    @Test
    void who_calls_is_told_though_a_library_passes_the_call_on_or_its_name_begins_alike() {
        ProfileSet set =
                ProfileSet.define(
                        "board",
                        it -> {
                            it.entry(NoticeBoard.class);
                            it.profile("test", test -> test.fill(Notice.class, mock()));
                        });
        try (Rig rig = Rigs.build(set.plan("test"))) {
            rig.get(NoticeBoard.class).all(List.of("fog", "tide"));
            assertEquals(2, rig.calls(Notice.class).size());
            assertEquals(
                    Optional.of(NoticeBoard.class.getName()),
                    rig.calls(Notice.class).get(0).caller());
            assertEquals(List.of(), rig.usage().bypassed());
        }
    }
}
