package dev.patientharbor.profiles;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.model.BuiltIn.When;
import dev.patientharbor.model.Decorator;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.RequiredArgument;
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
public final class DecoratorDefinition {

    private final BiFunction<NameCollector, SourcePosition, Decorator> making;
    private final ValuesToGive values;

    private DecoratorDefinition(BiFunction<NameCollector, SourcePosition, Decorator> making) {
        this(making, ValuesToGive.NONE);
    }

    private DecoratorDefinition(
            BiFunction<NameCollector, SourcePosition, Decorator> making, ValuesToGive values) {
        this.making = making;
        this.values = values;
    }

    /** Makes a decorator of a class. */
    public static DecoratorDefinition by(Class<?> type) {
        RequiredArgument.of(type, "type");
        return new DecoratorDefinition((names, at) -> Decorator.ofClass(names.written(type, at)));
    }

    /** Makes a decorator of a class, by short or full name. */
    public static DecoratorDefinition by(String type) {
        RequiredArgument.of(type, "type");
        return new DecoratorDefinition((names, at) -> Decorator.ofClass(new WrittenName(type, at)));
    }

    /** Keeps a record of the calls. */
    public static DecoratorDefinition spy() {
        return builtIn(new BuiltIn.Spy());
    }

    /** Waits before each call. */
    public static DecoratorDefinition delay(Duration time) {
        RequiredArgument.of(time, "time");
        return builtIn(new BuiltIn.Delay(time));
    }

    /**
     * Lets every n-th call fail.
     *
     * @throws IllegalArgumentException for an n below 1
     */
    public static DecoratorDefinition failEvery(
            int nth, Class<? extends Throwable> with, String saying) {
        RequiredArgument.of(with, "with");
        RequiredArgument.of(saying, "saying");
        return failing(new When.Every(nth), with, saying);
    }

    /**
     * Lets a share of the calls fail, the same ones for the same seed.
     *
     * @throws IllegalArgumentException for a share that is not between 0 and 1
     */
    public static DecoratorDefinition failAtRate(
            double share, long seed, Class<? extends Throwable> with, String saying) {
        RequiredArgument.of(with, "with");
        RequiredArgument.of(saying, "saying");
        return failing(new When.Rate(share, seed), with, saying);
    }

    private static DecoratorDefinition failing(
            When when, Class<? extends Throwable> with, String saying) {
        return new DecoratorDefinition(
                (names, at) -> {
                    BuiltIn fail =
                            new BuiltIn.Fail(when, names.written(with, at), Optional.of(saying));
                    return Decorator.builtIn(new WrittenName(fail.name(), at), fail);
                });
    }

    private static DecoratorDefinition builtIn(BuiltIn builtIn) {
        return new DecoratorDefinition(
                (names, at) -> Decorator.builtIn(new WrittenName(builtIn.name(), at), builtIn));
    }

    static DecoratorDefinition[] of(Class<?>... types) {
        RequiredArgument.each(types, "types");
        return Arrays.stream(types)
                .map(DecoratorDefinition::by)
                .toArray(DecoratorDefinition[]::new);
    }

    /**
     * Gives a constructor parameter of the class a value, as {@link SupplyDefinition#with} does.
     *
     * @param parameter its name
     * @param value what {@link SupplyDefinition#with} takes
     * @throws IllegalArgumentException for null
     */
    public DecoratorDefinition with(String parameter, Object value) {
        return new DecoratorDefinition(making, values.with(parameter, value));
    }

    /** Gives the parameters of value types their values, in order. */
    public DecoratorDefinition withValues(Object... inOrder) {
        RequiredArgument.of(inOrder, "inOrder");
        return new DecoratorDefinition(making, values.inOrder(inOrder));
    }

    /** Chooses the constructor with these parameter types. */
    public DecoratorDefinition byConstructor(Class<?>... parameterTypes) {
        RequiredArgument.each(parameterTypes, "parameterTypes");
        return new DecoratorDefinition(making, values.byConstructor(parameterTypes));
    }

    Decorator decorator(NameCollector names, SourcePosition at) {
        Decorator plain = making.apply(names, at);
        if (plain.builtIn().isPresent() && !values.equals(ValuesToGive.NONE)) {
            throw new IllegalArgumentException(
                    plain.name().text() + " is built in: its values are said where it is made");
        }
        return new Decorator(
                plain.name(), plain.builtIn(), values.values(names, at), values.constructor());
    }
}
