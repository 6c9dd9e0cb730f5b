package gullwing.quay;

import gullwing.port.BerthLedger;
import gullwing.port.RadioNotice;

/** Answers ships that call: whoever hears the call passes on the name of the ship. */
public final class RadioRoom {

    public String answer(BerthLedger ledger, RadioNotice radio, String ship) {
        int berth = ledger.reserve(ship);
        radio.announce(ship + ", berth " + berth + " is yours");
        return ship + " is answered";
    }
}
