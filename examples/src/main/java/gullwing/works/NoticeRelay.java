package gullwing.works;

import gullwing.port.RadioNotice;
import jakarta.inject.Named;

/** Hands every notice on to the tower, which has the better aerial. */
public final class NoticeRelay implements RadioNotice {

    private final RadioNotice tower;

    public NoticeRelay(@Named("tower") RadioNotice tower) {
        this.tower = tower;
    }

    @Override
    public void announce(String text) {
        tower.announce("relayed: " + text);
    }
}
