package dev.patientharbor.benchmarks;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import java.lang.reflect.Constructor;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * The second to the 190th rig of a plan, as many as the tests of one class build, beside what one
 * would write by hand and beside the same constructors called by reflection with nothing around.
 * All code is warm: each round takes a new plan of the same classes.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 150, batchSize = FirstRigs.RIGS)
@Measurement(iterations = 60, batchSize = FirstRigs.RIGS)
public class FirstRigs {

    /** As many as the tests of one class may build. */
    static final int RIGS = 189;

    private static final int SIZE = 300;

    private final Fleet fleet = new Fleet(SIZE);
    private final Supplier<Object> hand = fleet.hand();
    private final Class<?> root = fleet.root();
    private final List<Constructor<?>> constructors = new ArrayList<>();
    private Plan plan;

    @Setup
    public void lookUp() throws ClassNotFoundException {
        for (int i = 0; i < SIZE; i++) {
            Class<?> made = fleet.loader().loadClass("fleet.C" + i);
            constructors.add(made.getConstructors()[0]);
        }
    }

    @Setup(Level.Iteration)
    public void takeNewPlan() {
        plan = fleet.plan();
        plan.assembly();
        first_300_by_rig();
    }

    @Benchmark
    public Object first_300_by_hand() {
        return hand.get();
    }

    @Benchmark
    public Object first_300_by_reflection_alone() throws ReflectiveOperationException {
        Object[] made = new Object[SIZE];
        for (int i = SIZE - 1; i >= 0; i--) {
            Constructor<?> constructor = constructors.get(i);
            Object[] given = new Object[constructor.getParameterCount()];
            for (int j = 0; j < given.length; j++) {
                given[j] = made[2 * i + 1 + j];
            }
            made[i] = constructor.newInstance(given);
        }
        return made[0];
    }

    @Benchmark
    public Object first_300_by_rig() {
        try (Rig rig = Rigs.build(plan, fleet.loader())) {
            return rig.get(root);
        }
    }
}
