package gullwing.quay;

import gullwing.port.CardTerminal;
import gullwing.port.FeeSchedule;

/** Charges what a landing costs. */
public final class FeeBooth {

    private final FeeSchedule fees;
    private final CardTerminal terminal;

    public FeeBooth(FeeSchedule fees, CardTerminal terminal) {
        this.fees = fees;
        this.terminal = terminal;
    }

    /** Charges a ship, and returns the receipt. */
    public String charge(String ship) {
        return terminal.charge(fees.feeFor(ship));
    }
}
