package gullwing.works;

import gullwing.port.WeatherFeed;

/** A layer that asks once and remembers. */
public final class CachedFeed implements WeatherFeed {

    private final WeatherFeed behind;
    private String remembered;

    public CachedFeed(WeatherFeed behind) {
        this.behind = behind;
    }

    @Override
    public synchronized String outlook() {
        if (remembered == null) {
            remembered = behind.outlook();
        }
        return remembered;
    }
}
