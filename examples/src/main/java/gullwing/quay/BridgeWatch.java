package gullwing.quay;

import gullwing.port.TideGauge;
import gullwing.port.WeatherFeed;
import java.util.concurrent.Callable;

/** Watches water and sky from the bridge. */
public final class BridgeWatch implements Callable<String> {

    private final TideGauge gauge;
    private final WeatherFeed weather;

    public BridgeWatch(TideGauge gauge, WeatherFeed weather) {
        this.gauge = gauge;
        this.weather = weather;
    }

    @Override
    public String call() {
        return look();
    }

    public String look() {
        return gauge.levelNow() + " m, " + weather.outlook();
    }
}
