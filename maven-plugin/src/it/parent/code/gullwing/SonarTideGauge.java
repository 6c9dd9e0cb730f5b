package gullwing;

public final class SonarTideGauge implements TideGauge {
    @Override
    public double levelNow() {
        return 3.15;
    }
}
