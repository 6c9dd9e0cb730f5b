package gullwing.office;

/** Where passengers book. */
public final class BookingDesk {

    private final SeatFinder seats;
    private final BookingStore store;
    private final FareTable fares;
    private final OfficeCalendar calendar;
    private final Mailer mailer;

    public BookingDesk(
            SeatFinder seats,
            BookingStore store,
            FareTable fares,
            OfficeCalendar calendar,
            Mailer mailer) {
        this.seats = seats;
        this.store = store;
        this.fares = fares;
        this.calendar = calendar;
        this.mailer = mailer;
    }

    /** Books a seat for tomorrow, and says which. */
    public String book(String passenger) {
        Booking booking =
                new Booking(
                        passenger,
                        seats.find(calendar.today().plusDays(1)),
                        calendar.today().plusDays(1));
        store.add(booking);
        mailer.send(passenger, "seat " + booking.seat() + ", " + fares.cents(passenger) + " cents");
        return passenger + " has seat " + booking.seat();
    }
}
