package gullwing.works;

import gullwing.port.TicketMaker;

/** Prints a slip. */
public final class PaperTicketMaker implements TicketMaker {
    @Override
    public String kind() {
        return "paper";
    }

    @Override
    public String make(String passenger) {
        return "a slip for " + passenger;
    }
}
