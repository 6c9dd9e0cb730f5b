package gullwing.quay;

import gullwing.port.WeatherFeed;
import java.util.Map;
import java.util.function.Supplier;

/** Reads out the outlook that somebody asks for. */
public final class ForecastDesk {

    private final Map<String, Supplier<WeatherFeed>> feeds;

    public ForecastDesk(Map<String, Supplier<WeatherFeed>> feeds) {
        this.feeds = feeds;
    }

    public String read(String where) {
        Supplier<WeatherFeed> feed = feeds.get(where);
        return feed == null ? where + " is not one of " + feeds.keySet() : feed.get().outlook();
    }
}
