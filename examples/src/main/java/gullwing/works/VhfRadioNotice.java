package gullwing.works;

import gullwing.port.RadioNotice;

/** Calls out on the harbour's channel, under the harbour's call sign. */
public final class VhfRadioNotice implements RadioNotice {

    private final int channel;
    private final String callSign;

    public VhfRadioNotice(int channel, String callSign) {
        this.channel = channel;
        this.callSign = callSign;
    }

    @Override
    public void announce(String text) {
        System.out.println("channel " + channel + ", " + callSign + ": " + text);
    }
}
