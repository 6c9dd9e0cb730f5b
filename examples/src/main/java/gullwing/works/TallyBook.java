package gullwing.works;

import java.util.ArrayList;
import java.util.List;

/** What was charged, in order. */
public final class TallyBook {

    private final List<String> lines = new ArrayList<>();

    void write(String ship, int cents) {
        lines.add(ship + ": " + cents);
    }

    public List<String> lines() {
        return List.copyOf(lines);
    }
}
