package gullwing.quay;

import gullwing.port.FeeSchedule;

/** Shows the fees to whoever passes. */
public final class FeeBoard {

    private final FeeSchedule fees;

    public FeeBoard(FeeSchedule fees) {
        this.fees = fees;
    }

    public String show() {
        return "landing: " + fees.feeFor("any ship") / 100 + ".–";
    }
}
