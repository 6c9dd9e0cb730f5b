package gullwing.tours;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertSame;

import dev.patientharbor.junit.EachImplementation;
import dev.patientharbor.junit.EachProfile;
import dev.patientharbor.junit.FromRig;
import dev.patientharbor.junit.Harbor;
import gullwing.port.WeatherFeed;
import gullwing.quay.ForecastDesk;
import java.util.Map;

/** The desk reads what each profile has, and says which those are. */
@Harbor("../examples/port.harbor.yaml")
class ForecastByKeyTest {

    @EachProfile
    void the_desk_reads_every_key_that_its_profile_has(
            ForecastDesk desk,
            Map<String, WeatherFeed> feeds,
            @FromRig("coast") WeatherFeed coast) {
        assertSame(coast, feeds.get("coast"));
        feeds.forEach((key, feed) -> assertEquals(feed.outlook(), desk.read(key)));
        assertEquals("harbour is not one of " + feeds.keySet(), desk.read("harbour"));
    }

    @EachImplementation(WeatherFeed.class)
    void every_feed_says_something_on_one_line(WeatherFeed feed) {
        assertFalse(feed.outlook().isBlank() || feed.outlook().contains("\n"));
    }
}
