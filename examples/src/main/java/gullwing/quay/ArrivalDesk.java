package gullwing.quay;

import gullwing.port.BerthLedger;
import gullwing.port.PilotRota;
import gullwing.port.TideGauge;
import jakarta.inject.Inject;
import java.util.concurrent.Callable;

/** Brings ships in. */
public final class ArrivalDesk implements Callable<String> {

    private static final double DRAUGHT = 2.0;

    private final BerthLedger ledger;
    private final PilotRota rota;
    private final TideGauge gauge;

    /** A desk that is closed: nothing comes in. */
    public ArrivalDesk() {
        this(null, null, null);
    }

    @Inject
    public ArrivalDesk(BerthLedger ledger, PilotRota rota, TideGauge gauge) {
        this.ledger = ledger;
        this.rota = rota;
        this.gauge = gauge;
    }

    /** Brings in the ferry of the morning. */
    @Override
    public String call() {
        return arrive("Petrel");
    }

    /** Says what happens to a ship that asks to come in. */
    public String arrive(String ship) {
        if (ledger == null) {
            return ship + " finds nobody at the desk";
        }
        double level = gauge.levelNow();
        return level < DRAUGHT
                ? ship + " waits for the tide, at " + level + " m"
                : ship
                        + " takes berth "
                        + ledger.reserve(ship)
                        + " at "
                        + level
                        + " m, with "
                        + rota.onDuty();
    }
}
