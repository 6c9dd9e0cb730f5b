package dev.patientharbor.benchmarks;

import static dev.patientharbor.profiles.Supplies.real;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Rigs, once warm, each beside what one would write by hand. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
@Fork(1)
@Warmup(iterations = 8, time = 1)
@Measurement(iterations = 5, time = 1)
public class RigRatio {

    /** A contract. */
    public interface Fee {
        int of(int tons);
    }

    /** The core. */
    public static final class Plain implements Fee {
        @Override
        public int of(int tons) {
            return tons * 3;
        }
    }

    /** A decorator of the user's. */
    public static final class Levied implements Fee {
        private final Fee inner;

        public Levied(Fee inner) {
            this.inner = inner;
        }

        @Override
        public int of(int tons) {
            return inner.of(tons) + 250;
        }
    }

    /** Who asks. */
    public static final class Booth {
        final Fee fee;

        public Booth(Fee fee) {
            this.fee = fee;
        }
    }

    private Built small;
    private Built large;
    private Rig rig;
    private Booth booth;
    private Booth byHand;
    private final ConcurrentHashMap<Class<?>, Object> map = new ConcurrentHashMap<>();

    /** A graph, both ways. */
    private static final class Built {
        final Fleet fleet;
        final Plan plan;
        final Supplier<Object> hand;
        final Class<?> root;

        Built(int size) {
            fleet = new Fleet(size);
            plan = fleet.plan();
            hand = fleet.hand();
            root = fleet.root();
        }

        Object rig() {
            try (Rig built = Rigs.build(plan, fleet.loader())) {
                return built.get(root);
            }
        }
    }

    @Setup
    public void prepare() {
        small = new Built(30);
        large = new Built(300);
        ProfileSet fees =
                ProfileSet.define(
                        "fees",
                        set -> {
                            set.entry(Booth.class);
                            set.profile(
                                    "all",
                                    all -> {
                                        all.fill(Fee.class, real(Plain.class));
                                        all.decorate(Fee.class, Levied.class);
                                    });
                        });
        rig = Rigs.build(fees.plan("all"));
        booth = rig.get(Booth.class);
        byHand = new Booth(new Levied(new Plain()));
        map.put(Booth.class, booth);
    }

    @Benchmark
    public Object build_30_by_hand() {
        return small.hand.get();
    }

    @Benchmark
    public Object build_30_by_rig() {
        return small.rig();
    }

    @Benchmark
    public Object build_300_by_hand() {
        return large.hand.get();
    }

    @Benchmark
    public Object build_300_by_rig() {
        return large.rig();
    }

    @Benchmark
    public Object get_from_a_map() {
        return map.get(Booth.class);
    }

    @Benchmark
    public Object get_from_a_rig() {
        return rig.get(Booth.class);
    }

    @Benchmark
    public int call_by_hand() {
        return byHand.fee.of(7);
    }

    @Benchmark
    public int call_in_a_rig() {
        return booth.fee.of(7);
    }
}
