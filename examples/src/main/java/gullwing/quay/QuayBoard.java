package gullwing.quay;

import gullwing.port.PortClock;
import gullwing.port.RadioNotice;
import jakarta.inject.Inject;

/** The board at the quay; what it shows is called out too. */
public final class QuayBoard {

    @Inject private RadioNotice radio;
    private PortClock clock;

    @Inject
    public void setClock(PortClock clock) {
        this.clock = clock;
    }

    /** For those who make the board by hand. */
    public void setRadio(RadioNotice radio) {
        this.radio = radio;
    }

    public String show(String text) {
        String line = clock.now().withSecond(0).withNano(0) + " " + text;
        radio.announce(line);
        return line;
    }
}
