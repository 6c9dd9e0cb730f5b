package gullwing.trial;

import gullwing.port.TideGauge;

/** Plays a tide again, one level for each question. */
public final class ReplayTideGauge implements TideGauge {

    private static final double[] LEVELS = {1.10, 1.60, 2.20, 2.70, 3.00, 2.80, 2.10, 1.40};

    private int next;

    @Override
    public synchronized double levelNow() {
        return LEVELS[next++ % LEVELS.length];
    }
}
