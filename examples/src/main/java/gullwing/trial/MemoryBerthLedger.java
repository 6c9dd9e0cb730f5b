package gullwing.trial;

import gullwing.port.BerthLedger;
import java.util.ArrayList;
import java.util.List;

/** Keeps the berths in memory: an empty name is a free berth. */
public final class MemoryBerthLedger implements BerthLedger {

    private final List<String> berths = new ArrayList<>();

    @Override
    public synchronized int reserve(String ship) {
        int free = berths.indexOf("");
        if (free < 0) {
            berths.add(ship);
            return berths.size();
        }
        berths.set(free, ship);
        return free + 1;
    }

    @Override
    public synchronized List<String> list() {
        return List.copyOf(berths);
    }

    @Override
    public synchronized void release(String ship) {
        berths.replaceAll(moored -> moored.equals(ship) ? "" : moored);
    }
}
