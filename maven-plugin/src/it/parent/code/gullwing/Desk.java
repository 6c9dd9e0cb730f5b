package gullwing;

public final class Desk {
    private final TideGauge gauge;

    public Desk(TideGauge gauge) {
        this.gauge = gauge;
    }

    public String look() {
        return gauge.levelNow() + " m";
    }
}
