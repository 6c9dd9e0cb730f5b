package gullwing.works;

import gullwing.port.RadioNotice;

/** Calls out on the harbour's channel. */
public final class VhfRadioNotice implements RadioNotice {
    @Override
    public void announce(String text) {
        System.out.println("channel 12, GULL: " + text);
    }
}
