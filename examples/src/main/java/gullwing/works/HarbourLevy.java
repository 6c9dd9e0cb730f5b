package gullwing.works;

import gullwing.port.FeeSchedule;

/** A layer that adds the harbour's levy. */
public final class HarbourLevy implements FeeSchedule {

    private final FeeSchedule levied;

    public HarbourLevy(FeeSchedule levied) {
        this.levied = levied;
    }

    @Override
    public int feeFor(String ship) {
        return levied.feeFor(ship) + 250;
    }
}
