package gullwing.works;

import gullwing.port.CardTerminal;

/** Takes money from a card. */
public final class BankCardTerminal implements CardTerminal {
    @Override
    public String charge(int cents) {
        return "charged " + cents + " cents";
    }
}
