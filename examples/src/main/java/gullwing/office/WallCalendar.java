package gullwing.office;

import java.time.LocalDate;

/** The calendar on the wall. */
public final class WallCalendar implements OfficeCalendar {
    @Override
    public LocalDate today() {
        return LocalDate.now();
    }
}
