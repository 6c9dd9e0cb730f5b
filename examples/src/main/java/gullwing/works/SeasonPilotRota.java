package gullwing.works;

import gullwing.port.PilotRota;
import gullwing.port.PortClock;

/** The rota of the season: two pilots by day, one by night. */
public final class SeasonPilotRota implements PilotRota {

    private final PortClock clock;

    public SeasonPilotRota(PortClock clock) {
        this.clock = clock;
    }

    @Override
    public String onDuty() {
        int hour = clock.now().getHour();
        if (hour < 6 || hour >= 20) {
            return "Maro Tidewell";
        }
        return hour < 13 ? "Ines Quill" : "Odo Brack";
    }
}
