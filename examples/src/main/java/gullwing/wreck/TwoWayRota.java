package gullwing.wreck;

import gullwing.port.PilotRota;
import gullwing.port.PortClock;
import gullwing.port.TideGauge;

/** A rota by the clock or by the tide: nothing says which. */
public final class TwoWayRota implements PilotRota {

    private final Object by;

    public TwoWayRota(PortClock clock) {
        by = clock;
    }

    public TwoWayRota(TideGauge gauge) {
        by = gauge;
    }

    @Override
    public String onDuty() {
        return "by " + by;
    }
}
