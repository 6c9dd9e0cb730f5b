package gullwing;

public final class FixedTideGauge implements TideGauge {
    @Override
    public double levelNow() {
        return 2.4;
    }
}
