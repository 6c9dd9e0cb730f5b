package gullwing.ship;

import gullwing.port.BerthLedger;
import gullwing.port.RadioNotice;
import java.util.List;

/** Asks the port by radio, and believes that it was heard. */
public final class RelayedBerthLedger implements BerthLedger {

    private final RadioNotice radio;

    public RelayedBerthLedger(RadioNotice radio) {
        this.radio = radio;
    }

    @Override
    public int reserve(String ship) {
        radio.announce("a berth for " + ship);
        return 1;
    }

    @Override
    public List<String> list() {
        return List.of();
    }

    @Override
    public void release(String ship) {
        radio.announce(ship + " has left");
    }
}
