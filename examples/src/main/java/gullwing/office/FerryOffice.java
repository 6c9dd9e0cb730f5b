package gullwing.office;

import java.nio.file.Path;

/** Opens the office: all its parts, put together by hand. */
public final class FerryOffice {

    private FerryOffice() {}

    public static void main(String[] passengers) {
        BookingStore store = new FileBookingStore(Path.of("bookings.txt"));
        OfficeCalendar calendar = new WallCalendar();
        FareTable fares = new PilotDiscount(new SeasonFares(1250));
        Mailer mailer = new PostMailer(2525);
        BookingDesk desk = new BookingDesk(new SeatFinder(store), store, fares, calendar, mailer);
        OverdueJob job = new OverdueJob(store, calendar);
        for (String passenger : passengers) {
            System.out.println(desk.book(passenger));
        }
        job.run();
    }
}
