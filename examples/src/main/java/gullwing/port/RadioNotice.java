package gullwing.port;

/** Calls something out to all ships. */
public interface RadioNotice {
    void announce(String text);
}
