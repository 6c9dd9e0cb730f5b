package gullwing.office;

/** Pilots pay half. */
public final class PilotDiscount implements FareTable {

    private final FareTable inner;

    public PilotDiscount(FareTable inner) {
        this.inner = inner;
    }

    @Override
    public int cents(String passenger) {
        int full = inner.cents(passenger);
        return passenger.startsWith("Pilot ") ? full / 2 : full;
    }
}
