package gullwing.quay;

import gullwing.port.WeatherFeed;
import jakarta.inject.Named;

/** Compares the weather at the coast with that out at sea. */
public final class SeaWatch {

    private final WeatherFeed coast;
    private final WeatherFeed offshore;

    public SeaWatch(@Named("coast") WeatherFeed coast, @Named("offshore") WeatherFeed offshore) {
        this.coast = coast;
        this.offshore = offshore;
    }

    public String compare() {
        return coast.outlook() + "; " + offshore.outlook();
    }
}
