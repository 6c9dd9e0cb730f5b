package gullwing.port;

/** Tells the outlook for one stretch of water. */
public interface WeatherFeed {
    String outlook();
}
