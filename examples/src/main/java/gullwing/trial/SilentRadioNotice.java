package gullwing.trial;

import gullwing.port.RadioNotice;

/** Calls nothing out. */
public final class SilentRadioNotice implements RadioNotice {
    @Override
    public void announce(String text) {}
}
