package gullwing.office;

import java.time.LocalDate;

/** Tells the day. */
public interface OfficeCalendar {
    LocalDate today();
}
