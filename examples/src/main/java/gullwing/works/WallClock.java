package gullwing.works;

import gullwing.port.PortClock;
import java.time.LocalTime;

/** The clock on the wall. */
public final class WallClock implements PortClock {
    @Override
    public LocalTime now() {
        return LocalTime.now();
    }
}
