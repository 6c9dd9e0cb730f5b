package gullwing;

public final class ArrivalDesk {
    private final TideGauge gauge;

    public ArrivalDesk(TideGauge gauge) {
        this.gauge = gauge;
    }

    public String look() {
        return gauge.levelNow() + " m";
    }
}
