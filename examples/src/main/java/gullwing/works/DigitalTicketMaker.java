package gullwing.works;

import gullwing.port.PortClock;
import gullwing.port.TicketMaker;

/** Sends a code that holds for today. */
public final class DigitalTicketMaker implements TicketMaker {

    private final PortClock clock;

    public DigitalTicketMaker(PortClock clock) {
        this.clock = clock;
    }

    @Override
    public String kind() {
        return "digital";
    }

    @Override
    public String make(String passenger) {
        return "code " + (passenger.length() * 37 + clock.now().getHour()) + " for " + passenger;
    }
}
