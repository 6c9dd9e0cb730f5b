package gullwing.office;

import java.time.LocalDate;

/** A seat on a day. */
public record Booking(String passenger, int seat, LocalDate day) {}
