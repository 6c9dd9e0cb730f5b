package gullwing.office;

/** Writes to passengers who did not come, by a mailer that it asks for. */
public final class OverdueLetters implements Runnable {

    private final BookingStore store;
    private final OfficeCalendar calendar;
    private final Mailer mailer;

    public OverdueLetters(BookingStore store, OfficeCalendar calendar, Mailer mailer) {
        this.store = store;
        this.calendar = calendar;
        this.mailer = mailer;
    }

    @Override
    public void run() {
        for (Booking booking : store.all()) {
            if (booking.day().isBefore(calendar.today())) {
                mailer.send(booking.passenger(), "we missed you on " + booking.day());
            }
        }
    }
}
