package gullwing.quay;

import gullwing.port.TideGauge;

/** Opens the lock when the water stands level on both sides. */
public final class LockKeeper {

    private static final double LEVEL = 0.05;

    private final TideGauge inner;
    private final TideGauge outer;

    public LockKeeper(TideGauge inner, TideGauge outer) {
        this.inner = inner;
        this.outer = outer;
    }

    public boolean mayOpen() {
        return Math.abs(inner.levelNow() - outer.levelNow()) < LEVEL;
    }
}
