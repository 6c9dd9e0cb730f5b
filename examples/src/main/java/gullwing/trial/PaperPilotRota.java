package gullwing.trial;

import gullwing.port.PilotRota;

/** The note that hangs by the door. */
public final class PaperPilotRota implements PilotRota {
    @Override
    public String onDuty() {
        return "whoever is in";
    }
}
