package gullwing.port;

import java.util.Collections;
import java.util.List;

/** Tells how high the water stands. */
public interface TideGauge {
    /** The level now, in metres above the harbour's zero. */
    double levelNow();

    /** The levels of the hours to come; without a better idea, the level stays. */
    default List<Double> forecast(int hours) {
        return Collections.nCopies(hours, levelNow());
    }
}
