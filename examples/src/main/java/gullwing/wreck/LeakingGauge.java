package gullwing.wreck;

import gullwing.port.TideGauge;

/** Never gets into the water. */
public final class LeakingGauge implements TideGauge {

    public LeakingGauge() {
        throw new IllegalStateException("it leaks");
    }

    @Override
    public double levelNow() {
        return 0;
    }
}
