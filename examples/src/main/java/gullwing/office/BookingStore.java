package gullwing.office;

import java.util.List;

/** Keeps what is booked. */
public interface BookingStore {
    void add(Booking booking);

    List<Booking> all();
}
