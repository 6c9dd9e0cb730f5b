package gullwing;

public interface TideGauge {
    double levelNow();
}
