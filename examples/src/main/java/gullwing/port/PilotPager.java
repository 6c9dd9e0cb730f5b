package gullwing.port;

/** Calls a pilot out of bed. */
public interface PilotPager {
    void page(String pilot, String reason);
}
