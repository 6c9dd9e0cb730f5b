package gullwing.port;

import java.util.List;

/** Knows which ship lies at which berth. */
public interface BerthLedger {
    /** Gives the ship the first free berth, and returns its number. */
    int reserve(String ship);

    /** The ships by number of berth, the first berth first. */
    List<String> list();

    void release(String ship);
}
