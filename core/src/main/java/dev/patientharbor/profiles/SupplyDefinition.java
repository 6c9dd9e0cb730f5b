package dev.patientharbor.profiles;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.Supply;
import dev.patientharbor.terms.Grounds;
import dev.patientharbor.terms.ImplementationKind;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import java.time.LocalDate;
import java.util.Optional;
import java.util.function.BiFunction;

/**
 * What fills a slot, and what is said of it: made by {@link Supplies}, put into a slot by {@link
 * LevelDefinition#fill(Class, SupplyDefinition)}. Immutable; one may fill several slots.
 *
 * <pre>{@code
 * SupplyDefinition ledger =
 *         real(DiskBerthLedger.class)
 *                 .with("folder", "${BERTH_DIR:-berths}")
 *                 .lifetime(Lifetime.SHARED);
 * ProfileSet port =
 *         ProfileSet.define(
 *                 "port",
 *                 set -> {
 *                     set.entry(BerthClerk.class);
 *                     set.profile(
 *                             "live",
 *                             live -> {
 *                                 live.fill(BerthLedger.class, ledger);
 *                                 live.fill("ManifestReader<Ship>", real(ShipManifestReader.class));
 *                                 live.fill("ManifestReader<Cargo>", real(CargoManifestReader.class));
 *                             });
 *                     set.packages("gullwing.port", "gullwing.works");
 *                 });
 * port.check().requireComplete();
 * }</pre>
 */
public final class SupplyDefinition {

    private final Making making;
    private final Optional<ImplementationKind> as;
    private final ValuesToGive values;
    private final Optional<Lifetime> lifetime;
    private final boolean keepsValues;
    private final Grounds grounds;

    /** Makes the supply for one place. */
    interface Making {
        Supply make(NameCollector names, SourcePosition at, ImplementationKind as);
    }

    private SupplyDefinition(
            Making making,
            Optional<ImplementationKind> as,
            ValuesToGive values,
            Optional<Lifetime> lifetime,
            boolean keepsValues,
            Grounds grounds) {
        this.making = making;
        this.as = as;
        this.values = values;
        this.lifetime = lifetime;
        this.keepsValues = keepsValues;
        this.grounds = grounds;
    }

    /** Makes a supply that is called what it is. */
    static SupplyDefinition of(BiFunction<NameCollector, SourcePosition, Supply> making) {
        return of((names, at, as) -> making.apply(names, at), Optional.empty());
    }

    /** A supply that is real unless it is called a stand-in. */
    static SupplyDefinition realUnlessCalled(Making making) {
        return of(making, Optional.of(ImplementationKind.REAL));
    }

    private static SupplyDefinition of(Making making, Optional<ImplementationKind> as) {
        return new SupplyDefinition(
                making, as, ValuesToGive.NONE, Optional.empty(), false, Grounds.NONE);
    }

    /**
     * Calls a factory, a value, an object that is handed in or what makes one a fake.
     *
     * @throws IllegalStateException for what already says what it is
     */
    public SupplyDefinition asFake() {
        return called(ImplementationKind.FAKE);
    }

    /**
     * Calls a factory, a value, an object that is handed in or what makes one a stub.
     *
     * @throws IllegalStateException for what already says what it is
     */
    public SupplyDefinition asStub() {
        return called(ImplementationKind.STUB);
    }

    private SupplyDefinition called(ImplementationKind kind) {
        if (as.isEmpty()) {
            throw new IllegalStateException(
                    "this supply says itself whether it is real: use fake(…) or stub(…)");
        }
        return new SupplyDefinition(
                making, Optional.of(kind), values, lifetime, keepsValues, grounds);
    }

    /**
     * Gives a constructor parameter a value.
     *
     * @param parameter its name
     * @param value a text, in which {@code ${NAME}} is a setting; a list, an array or a map; or
     *     anything that its text stands for, such as a number or a {@link java.time.Duration}
     * @throws IllegalArgumentException for null, for which no text stands
     */
    public SupplyDefinition with(String parameter, Object value) {
        return given(values.with(parameter, value));
    }

    /** Gives the parameters of value types their values, in order. */
    public SupplyDefinition withValues(Object... inOrder) {
        RequiredArgument.of(inOrder, "inOrder");
        return given(values.inOrder(inOrder));
    }

    private SupplyDefinition given(ValuesToGive others) {
        return new SupplyDefinition(making, as, others, lifetime, keepsValues, grounds);
    }

    /** Says how long an instance lives. */
    public SupplyDefinition lifetime(Lifetime wanted) {
        RequiredArgument.of(wanted, "wanted");
        return new SupplyDefinition(making, as, values, Optional.of(wanted), keepsValues, grounds);
    }

    /** Keeps the values of the inherited binding where this one gives none. */
    public SupplyDefinition keepingValues() {
        return new SupplyDefinition(making, as, values, lifetime, true, grounds);
    }

    /** Chooses the constructor with these parameter types. */
    public SupplyDefinition byConstructor(Class<?>... parameterTypes) {
        RequiredArgument.each(parameterTypes, "parameterTypes");
        return given(values.byConstructor(parameterTypes));
    }

    /** Says why something is so that is not meant to stay. */
    public SupplyDefinition because(String reason) {
        RequiredArgument.of(reason, "reason");
        return on(new Grounds(Optional.of(reason), grounds.owner(), grounds.until()));
    }

    /** Says who answers for what is not meant to stay. */
    public SupplyDefinition owner(String name) {
        RequiredArgument.of(name, "name");
        return on(new Grounds(grounds.because(), Optional.of(name), grounds.until()));
    }

    /** Says the last day on which it may be so; after it, it is reported as {@code overdue}. */
    public SupplyDefinition until(LocalDate day) {
        RequiredArgument.of(day, "day");
        return on(new Grounds(grounds.because(), grounds.owner(), Optional.of(day)));
    }

    private SupplyDefinition on(Grounds others) {
        return new SupplyDefinition(making, as, values, lifetime, keepsValues, others);
    }

    Binding binding(Slot slot, NameCollector names, SourcePosition at) {
        return new Binding(
                slot,
                making.make(names, at, as.orElse(ImplementationKind.REAL)),
                values.values(names, at),
                lifetime,
                keepsValues,
                values.constructor(),
                grounds,
                at);
    }
}
