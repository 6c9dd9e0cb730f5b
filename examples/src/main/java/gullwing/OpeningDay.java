package gullwing;

import gullwing.port.BerthLedger;
import gullwing.port.FeeSchedule;
import gullwing.port.PortClock;
import gullwing.port.WeatherFeed;
import gullwing.quay.ArrivalDesk;
import gullwing.quay.BerthClerk;
import gullwing.quay.BridgeWatch;
import gullwing.quay.FeeBooth;
import gullwing.quay.ForecastDesk;
import gullwing.quay.QuayBoard;
import gullwing.quay.TicketHall;
import gullwing.trial.FixedTideGauge;
import gullwing.trial.MemoryBerthLedger;
import gullwing.trial.SilentRadioNotice;
import gullwing.trial.StoppedClock;
import gullwing.works.CachedFeed;
import gullwing.works.CargoManifestReader;
import gullwing.works.CoastFeed;
import gullwing.works.DigitalTicketMaker;
import gullwing.works.EstuaryFeed;
import gullwing.works.HarbourLevy;
import gullwing.works.NightSurcharge;
import gullwing.works.PaperTicketMaker;
import gullwing.works.SeasonPilotRota;
import gullwing.works.ShipManifestReader;
import gullwing.works.TonnageFee;
import java.util.List;
import java.util.Map;

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

        WeatherFeed coast = new CachedFeed(new CoastFeed());
        WeatherFeed estuary = new EstuaryFeed();
        ForecastDesk forecast =
                new ForecastDesk(Map.of("coast", () -> coast, "estuary", () -> estuary));
        TicketHall hall =
                new TicketHall(
                        fees, List.of(new PaperTicketMaker(), new DigitalTicketMaker(clock)));

        System.out.println(new BridgeWatch(new FixedTideGauge(), coast).look());
        System.out.println(forecast.read("estuary"));
        for (String ship : arriving) {
            System.out.println(board.show(desk.arrive(ship)));
            System.out.println(clerk.aboard(ship + " 62", List.of("herring 14", "salt 30")));
            System.out.println(booth.charge(ship));
        }
        System.out.println(hall.sell("Ada"));
        System.out.println("at berth: " + clerk.atBerth());
    }
}
