package gullwing.works;

import gullwing.port.PortClock;
import java.time.LocalTime;

/** Makes the clocks of the port. */
public final class Clocks {

    private Clocks() {}

    /** The clock on the wall. */
    public static PortClock wall() {
        return LocalTime::now;
    }
}
