package gullwing.wreck.attic;

import gullwing.port.WeatherFeed;

/** The lantern of the year before. */
public final class Lantern implements WeatherFeed {
    @Override
    public String outlook() {
        return "dark";
    }
}
