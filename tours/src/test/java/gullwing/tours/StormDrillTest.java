package gullwing.tours;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import dev.patientharbor.junit.CompleteProfiles;
import dev.patientharbor.junit.Harbor;
import dev.patientharbor.junit.UnderProfile;
import dev.patientharbor.rig.Rig;
import gullwing.port.BerthLedger;
import gullwing.quay.ArrivalDesk;
import java.io.UncheckedIOException;
import org.junit.jupiter.api.Test;

/** In a storm the third question to the gauge fails, and no berth is given for it. */
@Harbor("../examples/storm.harbor.yaml")
@UnderProfile("storm-drill")
class StormDrillTest implements CompleteProfiles {

    @Test
    void no_berth_is_given_while_the_gauge_is_silent(
            ArrivalDesk desk, BerthLedger ledger, Rig rig) {
        desk.arrive("Petrel");
        desk.arrive("Fulmar");
        assertThrows(UncheckedIOException.class, () -> desk.arrive("Gannet"));
        assertEquals(2, ledger.list().size());
        assertEquals("list()", rig.calls(BerthLedger.class).get(2).toString());
    }
}
