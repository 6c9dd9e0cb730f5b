package gullwing.crane;

import gullwing.port.PilotRota;
import gullwing.port.TideGauge;

/** Lifts cargo while the ship lies high enough. */
public final class CraneShed {

    private final TideGauge gauge;
    private final PilotRota rota;

    public CraneShed(TideGauge gauge, PilotRota rota) {
        this.gauge = gauge;
        this.rota = rota;
    }

    public String lift(String cargo) {
        return gauge.levelNow() > 1.5
                ? cargo + " is lifted"
                : cargo + " waits, and so does " + rota.onDuty();
    }
}
