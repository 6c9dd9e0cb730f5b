package gullwing.wreck;

import gullwing.port.PortClock;
import gullwing.port.TideGauge;

/** Tells the tide by the time. */
public final class ClockGauge implements TideGauge {

    private final PortClock clock;

    public ClockGauge(PortClock clock) {
        this.clock = clock;
    }

    @Override
    public double levelNow() {
        return clock.now().getHour();
    }
}
