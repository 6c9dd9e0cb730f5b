package gullwing.wreck;

import gullwing.port.PortClock;
import gullwing.port.TideGauge;
import java.time.LocalTime;

/** Tells the time by the tide. */
public final class TideClock implements PortClock {

    private final TideGauge gauge;

    public TideClock(TideGauge gauge) {
        this.gauge = gauge;
    }

    @Override
    public LocalTime now() {
        return LocalTime.of((int) gauge.levelNow(), 0);
    }
}
