package gullwing.trial;

import gullwing.port.WeatherFeed;

/** Fine weather, always. */
public final class CalmFeed implements WeatherFeed {
    @Override
    public String outlook() {
        return "calm";
    }
}
