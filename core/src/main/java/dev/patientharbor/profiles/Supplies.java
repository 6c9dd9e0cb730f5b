package dev.patientharbor.profiles;

import dev.patientharbor.model.Supply;
import dev.patientharbor.terms.ImplementationKind;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Arrays;
import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * The ways to fill a slot, to be imported statically. Classes may be named by {@code Class} or, as
 * in a file, by text.
 *
 * <pre>{@code
 * ProfileSet port =
 *         ProfileSet.define(
 *                 "port",
 *                 set -> {
 *                     set.entry(BridgeWatch.class, NightDesk.class);
 *                     set.profile(
 *                             "test",
 *                             test -> {
 *                                 test.fill(TideGauge.class, stub(FixedTideGauge.class));
 *                                 test.fill(WeatherFeed.class, sameAs(WeatherFeed.class, "coast"));
 *                                 test.fill(WeatherFeed.class, "coast", fake(CalmFeed.class));
 *                                 test.fill(WeatherFeed.class, "estuary", none());
 *                                 test.fill(PilotRota.class, mock());
 *                                 test.fill(PilotPager.class, object(new BellPilotPager()).asFake());
 *                             });
 *                 });
 * port.check().requireComplete("test");
 * }</pre>
 */
public final class Supplies {

    private Supplies() {}

    /** The real implementation. */
    public static SupplyDefinition real(Class<?> type) {
        return ofClass(ImplementationKind.REAL, type);
    }

    /** The real implementation, by short or full name. */
    public static SupplyDefinition real(String type) {
        return ofClass(ImplementationKind.REAL, type);
    }

    /** A fake: a working, light-weight implementation. */
    public static SupplyDefinition fake(Class<?> type) {
        return ofClass(ImplementationKind.FAKE, type);
    }

    /** A fake: a working, light-weight implementation, by short or full name. */
    public static SupplyDefinition fake(String type) {
        return ofClass(ImplementationKind.FAKE, type);
    }

    /** A stub: a class with canned answers in it. */
    public static SupplyDefinition stub(Class<?> type) {
        return ofClass(ImplementationKind.STUB, type);
    }

    /** A stub: a class with canned answers in it, by short or full name. */
    public static SupplyDefinition stub(String type) {
        return ofClass(ImplementationKind.STUB, type);
    }

    /**
     * A stub made from the contract and canned answers.
     *
     * @param answers says them
     */
    public static SupplyDefinition answers(Consumer<AnswersDefinition> answers) {
        RequiredArgument.of(answers, "what says the answers");
        return SupplyDefinition.of(
                (names, at) -> {
                    AnswersDefinition definition = new AnswersDefinition(names, at);
                    answers.accept(definition);
                    return new Supply.OfAnswers(definition.canned());
                });
    }

    /** A mock: made from the contract, it records its calls, and tests assert on it. */
    public static SupplyDefinition mock() {
        return SupplyDefinition.of((names, at) -> new Supply.Mock());
    }

    /** A value, converted to the contract: as {@link SupplyDefinition#with} takes it. */
    public static SupplyDefinition value(Object value) {
        RequiredArgument.of(value, "a value");
        return SupplyDefinition.realUnlessCalled(
                (names, at, as) -> new Supply.OfValue(as, GivenValueMaker.of(value, at)));
    }

    /** What a static method returns, or a method of the object in the slot of that class. */
    public static SupplyDefinition factory(Class<?> holder, String method) {
        RequiredArgument.of(holder, "holder");
        RequiredArgument.of(method, "the name of a method");
        return SupplyDefinition.realUnlessCalled(
                (names, at, as) -> new Supply.Factory(as, names.written(holder, at), method));
    }

    /** An object of the caller's, as it is. */
    public static SupplyDefinition object(Object object) {
        RequiredArgument.of(object, "the object that is handed in");
        return SupplyDefinition.realUnlessCalled(
                (names, at, as) -> new Supply.HandedIn(as, object));
    }

    /** What a piece of code makes: it runs whenever an instance is wanted, never while checking. */
    public static SupplyDefinition madeBy(Supplier<?> maker) {
        RequiredArgument.of(maker, "what makes an object");
        return SupplyDefinition.realUnlessCalled((names, at, as) -> new Supply.MadeBy(as, maker));
    }

    /** Whatever fills another slot: the same instance. */
    public static SupplyDefinition sameAs(Class<?> contract) {
        RequiredArgument.of(contract, "contract");
        return SupplyDefinition.of((names, at) -> new Supply.SameAs(names.slot(contract)));
    }

    /** Whatever fills a keyed slot: the same instance. */
    public static SupplyDefinition sameAs(Class<?> contract, String key) {
        RequiredArgument.of(contract, "contract");
        RequiredArgument.of(key, "key");
        return SupplyDefinition.of((names, at) -> new Supply.SameAs(names.slot(contract, key)));
    }

    /** Whatever fills another slot, written as text: the same instance. */
    public static SupplyDefinition sameAs(String slot) {
        Slot target = NameCollector.slot(slot);
        return SupplyDefinition.of((names, at) -> new Supply.SameAs(target));
    }

    /**
     * Several classes, each under the key that a method of it returns as a constant; for the slot
     * {@code CONTRACT@*}.
     */
    public static SupplyDefinition keyedBy(String method, Class<?>... types) {
        RequiredArgument.each(types, "types");
        RequiredArgument.of(method, "the name of a method");
        return SupplyDefinition.realUnlessCalled(
                (names, at, as) -> new Supply.ByStatedKey(as, method, names.written(types, at)));
    }

    /** What is in a collection: slots as text, in order. */
    public static SupplyDefinition members(String... slots) {
        RequiredArgument.each(slots, "slots");
        return SupplyDefinition.of(
                (names, at) ->
                        new Supply.Members(Arrays.stream(slots).map(NameCollector::slot).toList()));
    }

    /** Nothing, on purpose. */
    public static SupplyDefinition none() {
        return SupplyDefinition.of((names, at) -> new Supply.None());
    }

    /** Takes an inherited binding away. */
    public static SupplyDefinition removed() {
        return SupplyDefinition.of((names, at) -> new Supply.Removed());
    }

    /** Left to be filled by every child that is checked. */
    public static SupplyDefinition toFill() {
        return SupplyDefinition.of((names, at) -> new Supply.ToFill());
    }

    /** The inherited supply, of which a part is changed: a value, the lifetime, the grounds. */
    public static SupplyDefinition asInherited() {
        return SupplyDefinition.of((names, at) -> new Supply.Inherited());
    }

    private static SupplyDefinition ofClass(ImplementationKind of, Class<?> type) {
        RequiredArgument.of(type, "a class");
        return SupplyDefinition.of((names, at) -> new Supply.OfClass(of, names.written(type, at)));
    }

    private static SupplyDefinition ofClass(ImplementationKind of, String type) {
        RequiredArgument.of(type, "a class");
        return SupplyDefinition.of(
                (names, at) -> new Supply.OfClass(of, new WrittenName(type, at)));
    }
}
