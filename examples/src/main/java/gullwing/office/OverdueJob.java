package gullwing.office;

/** Writes to passengers who did not come. */
public final class OverdueJob implements Runnable {

    private static final int POST_OFFICE = 2525;

    private final BookingStore store;
    private final OfficeCalendar calendar;

    public OverdueJob(BookingStore store, OfficeCalendar calendar) {
        this.store = store;
        this.calendar = calendar;
    }

    @Override
    public void run() {
        Mailer mailer = new PostMailer(POST_OFFICE);
        for (Booking booking : store.all()) {
            if (booking.day().isBefore(calendar.today())) {
                mailer.send(booking.passenger(), "we missed you on " + booking.day());
            }
        }
    }
}
