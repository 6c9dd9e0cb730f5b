package gullwing.quay;

import gullwing.port.FeeSchedule;

/** Shows the fees on a board. */
public final class TicketHall {

    private final FeeSchedule fees;

    public TicketHall(FeeSchedule fees) {
        this.fees = fees;
    }

    public String board() {
        return "landing: " + fees.feeFor("any ship") / 100 + ".–";
    }
}
