package gullwing.wreck;

import gullwing.port.WeatherFeed;

/** Light means fair weather. */
public final class Lantern implements WeatherFeed {
    @Override
    public String outlook() {
        return "lit";
    }
}
