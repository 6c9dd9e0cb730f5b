package gullwing.wreck;

import gullwing.port.PilotPager;
import gullwing.port.TideGauge;

/** Carries a gauge and a pager, or so its papers say. */
public final class Dredger {

    private Dredger() {}

    public static TideGauge gauge() {
        return null;
    }

    public static PilotPager pager() {
        return null;
    }
}
