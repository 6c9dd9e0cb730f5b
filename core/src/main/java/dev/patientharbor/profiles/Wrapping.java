package dev.patientharbor.profiles;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.model.BuiltIn.When;
import dev.patientharbor.model.Decorator;
import dev.patientharbor.model.Written;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.BiFunction;

/**
 * A decorator in a list, to be imported statically: a class of the user's, or one that is built in
 * for any interface. Immutable.
 *
 * <pre>{@code
 * ProfileSet port =
 *         ProfileSet.define(
 *                 "port",
 *                 set -> {
 *                     set.entry(BridgeWatch.class);
 *                     set.profile(
 *                             "drill",
 *                             drill -> {
 *                                 drill.fill(TideGauge.class, stub(FixedTideGauge.class));
 *                                 drill.fill(WeatherFeed.class, real(CoastFeed.class));
 *                                 drill.decorate(
 *                                         WeatherFeed.class,
 *                                         spy(),
 *                                         failEvery(3, IllegalStateException.class, "no signal"),
 *                                         delay(Duration.ofMillis(200)),
 *                                         by(CachedFeed.class));
 *                             });
 *                 });
 * assertEquals(
 *         "spy → fail every 3 → delay 200ms → CachedFeed → real CoastFeed",
 *         port.plan("drill").roster().of(BridgeWatch.class).need("weather").received());
 * }</pre>
 */
public final class Wrapping {

    private final BiFunction<Names, Where, Decorator> making;
    private final ValuesToGive values;

    private Wrapping(BiFunction<Names, Where, Decorator> making) {
        this(making, ValuesToGive.NONE);
    }

    private Wrapping(BiFunction<Names, Where, Decorator> making, ValuesToGive values) {
        this.making = making;
        this.values = values;
    }

    /** A class. */
    public static Wrapping by(Class<?> type) {
        return new Wrapping((names, at) -> Decorator.ofClass(names.written(type, at)));
    }

    /** A class, by short or full name. */
    public static Wrapping by(String type) {
        return new Wrapping((names, at) -> Decorator.ofClass(new Written(type, at)));
    }

    /** Keeps a record of the calls. */
    public static Wrapping spy() {
        return builtIn(new BuiltIn.Spy());
    }

    /** Waits before each call. */
    public static Wrapping delay(Duration time) {
        return builtIn(new BuiltIn.Delay(time));
    }

    /**
     * Lets every n-th call fail.
     *
     * @throws IllegalArgumentException for an n below 1
     */
    public static Wrapping failEvery(int nth, Class<? extends Throwable> with, String saying) {
        return failing(new When.Every(nth), with, saying);
    }

    /**
     * Lets a share of the calls fail, the same ones for the same seed.
     *
     * @throws IllegalArgumentException for a share that is not between 0 and 1
     */
    public static Wrapping failAtRate(
            double share, long seed, Class<? extends Throwable> with, String saying) {
        return failing(new When.Rate(share, seed), with, saying);
    }

    private static Wrapping failing(When when, Class<? extends Throwable> with, String saying) {
        return new Wrapping(
                (names, at) -> {
                    BuiltIn fail =
                            new BuiltIn.Fail(when, names.written(with, at), Optional.of(saying));
                    return Decorator.builtIn(new Written(fail.name(), at), fail);
                });
    }

    private static Wrapping builtIn(BuiltIn one) {
        return new Wrapping((names, at) -> Decorator.builtIn(new Written(one.name(), at), one));
    }

    static Wrapping[] of(Class<?>... types) {
        return Arrays.stream(types).map(Wrapping::by).toArray(Wrapping[]::new);
    }

    /**
     * Gives a constructor parameter of the class a value, as {@link Filling#with} does.
     *
     * @param parameter its name
     * @param value what {@link Filling#with} takes
     * @throws IllegalArgumentException for null
     */
    public Wrapping with(String parameter, Object value) {
        return new Wrapping(making, values.with(parameter, value));
    }

    /** Gives the parameters of value types their values, in order. */
    public Wrapping withValues(Object... inOrder) {
        return new Wrapping(making, values.inOrder(inOrder));
    }

    /** Chooses the constructor with these parameter types. */
    public Wrapping byConstructor(Class<?>... parameterTypes) {
        return new Wrapping(making, values.byConstructor(parameterTypes));
    }

    Decorator decorator(Names names, Where at) {
        Decorator plain = making.apply(names, at);
        if (plain.builtIn().isPresent() && !values.equals(ValuesToGive.NONE)) {
            throw new IllegalArgumentException(
                    plain.name().text() + " is built in: its values are said where it is made");
        }
        return new Decorator(
                plain.name(), plain.builtIn(), values.values(names, at), values.constructor());
    }
}
