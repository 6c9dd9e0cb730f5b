package gullwing.works;

import gullwing.port.FeeSchedule;

/** A layer that writes every fee into the tally book. */
public final class FeeTally implements FeeSchedule {

    private final FeeSchedule counted;
    private final TallyBook book;

    public FeeTally(FeeSchedule counted, TallyBook book) {
        this.counted = counted;
        this.book = book;
    }

    @Override
    public int feeFor(String ship) {
        int fee = counted.feeFor(ship);
        book.write(ship, fee);
        return fee;
    }
}
