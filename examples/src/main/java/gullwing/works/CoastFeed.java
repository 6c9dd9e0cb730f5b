package gullwing.works;

import gullwing.port.WeatherFeed;

/** The outlook along the coast. */
public final class CoastFeed implements WeatherFeed {
    @Override
    public String outlook() {
        return "coast: westerly 5, showers";
    }
}
