package gullwing.quay;

import gullwing.port.WeatherFeed;
import jakarta.inject.Named;

/** Reads two outlooks out. */
public final class ForecastDesk {

    private final WeatherFeed coast;
    private final WeatherFeed offshore;

    public ForecastDesk(
            @Named("coast") WeatherFeed coast, @Named("offshore") WeatherFeed offshore) {
        this.coast = coast;
        this.offshore = offshore;
    }

    public String read() {
        return coast.outlook() + "; " + offshore.outlook();
    }
}
