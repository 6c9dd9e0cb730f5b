package dev.patientharbor.rig;

import dev.patientharbor.straight.Step;
import dev.patientharbor.straight.StraightCode;
import dev.patientharbor.straight.StraightWriter;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;

/** Counts the rigs of a plan, and has code written for it once there were many. */
final class Often {

    /** Writing the code costs about as much as it saves in so many rigs. */
    private static final int MANY = 200;

    private final Stations stations;
    private final AtomicInteger rigs = new AtomicInteger();
    private volatile StraightCode straight = StraightCode.NONE;

    Often(Stations stations) {
        this.stations = stations;
    }

    /** The code for one more rig: none at first, and where none can be written. */
    StraightCode oneMore() {
        if (rigs.get() < MANY && rigs.incrementAndGet() == MANY) {
            List<MadeStation> all = stations.straight();
            if (Chains.longest(all) < Chains.DEEP) {
                List<Step> steps = all.stream().flatMap(one -> one.step().stream()).toList();
                straight = StraightWriter.write(steps, stations.loader()).orElse(straight);
            }
        }
        return straight;
    }
}
