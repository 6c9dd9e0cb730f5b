package gullwing;

import gullwing.port.BerthLedger;
import gullwing.port.FeeSchedule;
import gullwing.port.PortClock;
import gullwing.quay.ArrivalDesk;
import gullwing.quay.BerthClerk;
import gullwing.quay.BridgeWatch;
import gullwing.quay.FeeBooth;
import gullwing.quay.QuayBoard;
import gullwing.trial.FixedTideGauge;
import gullwing.trial.MemoryBerthLedger;
import gullwing.trial.SilentRadioNotice;
import gullwing.trial.StoppedClock;
import gullwing.works.CargoManifestReader;
import gullwing.works.CoastFeed;
import gullwing.works.HarbourLevy;
import gullwing.works.NightSurcharge;
import gullwing.works.SeasonPilotRota;
import gullwing.works.ShipManifestReader;
import gullwing.works.TonnageFee;
import java.util.List;

/**
 * One day at the port, made by hand: the same parts that the profile {@code winter} puts together.
 */
public final class OpeningDay {

    private OpeningDay() {}

    public static void main(String[] ships) {
        List<String> arriving = ships.length == 0 ? List.of("Petrel", "Fulmar") : List.of(ships);
        BerthLedger ledger = new MemoryBerthLedger();
        PortClock clock = new StoppedClock();
        FeeSchedule fees = new NightSurcharge(new HarbourLevy(new TonnageFee()));
        ArrivalDesk desk =
                new ArrivalDesk(ledger, new SeasonPilotRota(clock), new FixedTideGauge());
        FeeBooth booth = new FeeBooth(fees, cents -> "a receipt over " + cents + " cents");
        QuayBoard board = new QuayBoard();
        board.setClock(clock);
        board.setRadio(new SilentRadioNotice());
        BerthClerk clerk =
                new BerthClerk(ledger, new ShipManifestReader(), new CargoManifestReader());

        System.out.println(new BridgeWatch(new FixedTideGauge(), new CoastFeed()).look());
        for (String ship : arriving) {
            System.out.println(board.show(desk.arrive(ship)));
            System.out.println(clerk.aboard(ship + " 62", List.of("herring 14", "salt 30")));
            System.out.println(booth.charge(ship));
        }
        System.out.println("at berth: " + clerk.atBerth());
    }
}
