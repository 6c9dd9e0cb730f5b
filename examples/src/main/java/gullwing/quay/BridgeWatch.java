package gullwing.quay;

import gullwing.port.TideGauge;
import gullwing.port.WeatherFeed;

/** Watches water and sky from the bridge. */
public final class BridgeWatch {

    private final TideGauge gauge;
    private final WeatherFeed weather;

    public BridgeWatch(TideGauge gauge, WeatherFeed weather) {
        this.gauge = gauge;
        this.weather = weather;
    }

    public String look() {
        return gauge.levelNow() + " m, " + weather.outlook();
    }
}
