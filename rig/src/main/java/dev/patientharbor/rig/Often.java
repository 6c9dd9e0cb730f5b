package dev.patientharbor.rig;

import dev.patientharbor.straight.Step;
import dev.patientharbor.straight.StraightCode;
import dev.patientharbor.straight.StraightWriter;
import java.util.List;

/**
 * Counts the rigs of a plan, and has code written for it once there were many. When there are twice
 * as many it looks whether objects were made that were not before, and so on.
 */
final class Often {

    /** Writing the code costs about as much as it saves in so many rigs. */
    private static final int MANY = 200;

    private final Stations stations;

    /** Not exact if several threads count, which does no harm. */
    private int rigs;

    private int next = MANY;
    private int written;
    private volatile StraightCode straight;

    Often(Stations stations) {
        this.stations = stations;
    }

    /** The code for one more rig: null at first, and where none can be written. */
    StraightCode oneMore() {
        if (++rigs >= next) {
            look();
        }
        return straight;
    }

    private synchronized void look() {
        if (rigs < next) {
            return;
        }
        next = next > Integer.MAX_VALUE / 2 ? Integer.MAX_VALUE : 2 * next;
        List<MadeStation> all = stations.straight();
        if (all.size() > written && Chains.longest(all) < Chains.DEEP) {
            written = all.size();
            List<Step> steps = all.stream().flatMap(one -> one.step().stream()).toList();
            straight = StraightWriter.write(steps, stations.loader()).orElse(straight);
        }
    }
}
