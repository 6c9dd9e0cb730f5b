package gullwing.tours;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.junit.FromRig;
import dev.patientharbor.junit.Harbor;
import dev.patientharbor.junit.SwappedIn;
import dev.patientharbor.junit.UnderProfile;
import gullwing.port.BerthLedger;
import gullwing.port.TideGauge;
import gullwing.quay.ArrivalDesk;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A desk at low tide: the gauge is swapped, all else is as on the build machine. */
@Harbor("../examples/port.harbor.yaml")
@UnderProfile("dock-test")
class SwapForATestTest {

    @SwappedIn private final TideGauge low = () -> 1.20;
    @FromRig private BerthLedger ledger;

    @Test
    void a_ship_waits_for_the_tide_and_takes_no_berth(ArrivalDesk desk) {
        assertTrue(desk.arrive("Petrel").startsWith("Petrel waits for the tide"));
        assertEquals(List.of(), ledger.list());
    }
}
