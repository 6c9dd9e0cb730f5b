package gullwing.wreck;

import gullwing.port.RadioNotice;

/** A horn that wants to be told its note. */
public final class Foghorn implements RadioNotice {

    private final String note;

    public Foghorn(String note) {
        this.note = note;
    }

    @Override
    public void announce(String text) {
        System.out.println(note + " " + text);
    }
}
