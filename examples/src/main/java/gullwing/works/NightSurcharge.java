package gullwing.works;

import gullwing.port.FeeSchedule;

/** A layer that doubles the fee. */
public final class NightSurcharge implements FeeSchedule {

    private final FeeSchedule byDay;

    public NightSurcharge(FeeSchedule byDay) {
        this.byDay = byDay;
    }

    @Override
    public int feeFor(String ship) {
        return byDay.feeFor(ship) * 2;
    }
}
