package gullwing.port;

/** Takes money. */
public interface CardTerminal {
    /** Charges an amount in cents, and returns the receipt. */
    String charge(int cents);
}
