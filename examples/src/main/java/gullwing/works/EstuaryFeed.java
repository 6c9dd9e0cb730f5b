package gullwing.works;

import gullwing.port.WeatherFeed;

/** The outlook in the estuary. */
public final class EstuaryFeed implements WeatherFeed {
    @Override
    public String outlook() {
        return "estuary: westerly 3, mist until noon";
    }
}
