package gullwing.quay;

import gullwing.port.FeeSchedule;
import gullwing.port.TicketMaker;
import java.util.List;

/** Shows the fees on a board, and sells every kind of ticket. */
public final class TicketHall {

    private final FeeSchedule fees;
    private final List<TicketMaker> makers;

    public TicketHall(FeeSchedule fees, List<TicketMaker> makers) {
        this.fees = fees;
        this.makers = makers;
    }

    public String board() {
        return "landing: " + fees.feeFor("any ship") / 100 + ".–";
    }

    public List<String> sell(String passenger) {
        return makers.stream().map(maker -> maker.make(passenger)).toList();
    }
}
