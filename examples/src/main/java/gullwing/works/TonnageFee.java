package gullwing.works;

import gullwing.port.FeeSchedule;

/** What every ship pays. */
public final class TonnageFee implements FeeSchedule {
    @Override
    public int feeFor(String ship) {
        return 1000;
    }
}
