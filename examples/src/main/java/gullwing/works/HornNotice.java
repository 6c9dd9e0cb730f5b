package gullwing.works;

import gullwing.port.RadioNotice;

/** The brass horn behind the port's own contract. */
public final class HornNotice implements RadioNotice {

    private final BrassHorn horn;

    private HornNotice(BrassHorn horn) {
        this.horn = horn;
    }

    /** Makes a notice of a horn. */
    public static HornNotice of(BrassHorn horn) {
        return new HornNotice(horn);
    }

    @Override
    public void announce(String text) {
        horn.blow(text.split(" ").length);
    }
}
