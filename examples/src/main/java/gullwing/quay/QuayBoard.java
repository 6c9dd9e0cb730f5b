package gullwing.quay;

import gullwing.port.PortClock;
import gullwing.port.RadioNotice;
import jakarta.inject.Inject;
import java.util.concurrent.Callable;

/** The board at the quay; what it shows is called out too. */
public final class QuayBoard implements Callable<String> {

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

    /** Shows that the quay is open. */
    @Override
    public String call() {
        return show("the quay is open");
    }

    public String show(String text) {
        String line = clock.now().withSecond(0).withNano(0) + " " + text;
        radio.announce(line);
        return line;
    }
}
