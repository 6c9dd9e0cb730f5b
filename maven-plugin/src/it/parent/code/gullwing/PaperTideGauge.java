package gullwing;

public final class PaperTideGauge implements TideGauge {
    @Override
    public double levelNow() {
        return 0;
    }
}
