package gullwing.port;

import java.time.LocalTime;

/** Knows what time it is in the port. */
public interface PortClock {
    LocalTime now();
}
