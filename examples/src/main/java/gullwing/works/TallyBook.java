package gullwing.works;

import gullwing.port.PerTide;
import java.util.ArrayList;
import java.util.List;

/** What was charged, in order. */
@PerTide
public final class TallyBook {

    private final List<String> lines = new ArrayList<>();

    void write(String ship, int cents) {
        lines.add(ship + ": " + cents);
    }

    public List<String> lines() {
        return List.copyOf(lines);
    }
}
