package gullwing.works;

import gullwing.port.WeatherFeed;

/** The outlook out at sea. */
public final class OffshoreFeed implements WeatherFeed {
    @Override
    public String outlook() {
        return "offshore: westerly 8, very rough";
    }
}
