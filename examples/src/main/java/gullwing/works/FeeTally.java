package gullwing.works;

import gullwing.port.FeeSchedule;
import java.util.function.Supplier;

/** A layer that writes every fee into the tally book. */
public final class FeeTally implements FeeSchedule {

    private final FeeSchedule counted;
    private final Supplier<TallyBook> book;

    public FeeTally(FeeSchedule counted, Supplier<TallyBook> book) {
        this.counted = counted;
        this.book = book;
    }

    @Override
    public int feeFor(String ship) {
        int fee = counted.feeFor(ship);
        book.get().write(ship, fee);
        return fee;
    }
}
