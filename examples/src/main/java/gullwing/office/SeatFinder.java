package gullwing.office;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;

/** Finds a free seat. */
public final class SeatFinder {

    private static final int SEATS = 40;

    private final BookingStore store;

    public SeatFinder(BookingStore store) {
        this.store = store;
    }

    /** The first free seat of a day; 0 if there is none. */
    public int find(LocalDate day) {
        List<Integer> taken =
                store.all().stream()
                        .filter(booking -> booking.day().equals(day))
                        .map(Booking::seat)
                        .toList();
        return IntStream.rangeClosed(1, SEATS)
                .filter(seat -> !taken.contains(seat))
                .findFirst()
                .orElse(0);
    }

    /** How many seats there are. */
    public int seats() {
        return SEATS;
    }
}
