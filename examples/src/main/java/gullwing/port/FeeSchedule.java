package gullwing.port;

/** Knows what a landing costs. */
public interface FeeSchedule {
    /** The fee for a ship, in cents. */
    int feeFor(String ship);
}
