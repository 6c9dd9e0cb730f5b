package gullwing.port;

/** Tells how high the water stands. */
public interface TideGauge {
    /** The level now, in metres above the harbour's zero. */
    double levelNow();
}
