package dev.patientharbor.profiles;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.Grounds;
import dev.patientharbor.model.ImplementationKind;
import dev.patientharbor.model.Lifetime;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.Supply;
import java.time.LocalDate;
import java.util.Optional;
import java.util.function.BiFunction;

/**
 * What fills a slot, and what is said of it: made by {@link Supplies}, put into a slot by {@link
 * LevelDefinition#fill(Class, Filling)}. Immutable; one may fill several slots.
 *
 * <pre>{@code
 * Filling ledger =
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
public final class Filling {

    private final Making making;
    private final Optional<ImplementationKind> as;
    private final ValuesToGive values;
    private final Optional<Lifetime> lifetime;
    private final boolean keepsValues;
    private final Grounds grounds;

    /** Makes the supply for one place. */
    interface Making {
        Supply make(Names names, Where at, ImplementationKind as);
    }

    private Filling(
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

    /** A supply that is called what it is. */
    static Filling of(BiFunction<Names, Where, Supply> making) {
        return of((names, at, as) -> making.apply(names, at), Optional.empty());
    }

    /** A supply that is real unless it is called a stand-in. */
    static Filling ofReal(Making making) {
        return of(making, Optional.of(ImplementationKind.REAL));
    }

    private static Filling of(Making making, Optional<ImplementationKind> as) {
        return new Filling(making, as, ValuesToGive.NONE, Optional.empty(), false, Grounds.NONE);
    }

    /**
     * Calls a factory, a value, an object that is handed in or what makes one a fake.
     *
     * @throws IllegalStateException for what already says what it is
     */
    public Filling asFake() {
        return called(ImplementationKind.FAKE);
    }

    /**
     * Calls a factory, a value, an object that is handed in or what makes one a stub.
     *
     * @throws IllegalStateException for what already says what it is
     */
    public Filling asStub() {
        return called(ImplementationKind.STUB);
    }

    private Filling called(ImplementationKind kind) {
        if (as.isEmpty()) {
            throw new IllegalStateException(
                    "this supply says itself whether it is real: use fake(…) or stub(…)");
        }
        return new Filling(making, Optional.of(kind), values, lifetime, keepsValues, grounds);
    }

    /**
     * Gives a constructor parameter a value.
     *
     * @param parameter its name
     * @param value a text, in which {@code ${NAME}} is a setting; a list, an array or a map; or
     *     anything that its text stands for, such as a number or a {@link java.time.Duration}
     * @throws IllegalArgumentException for null, for which no text stands
     */
    public Filling with(String parameter, Object value) {
        return given(values.with(parameter, value));
    }

    /** Gives the parameters of value types their values, in order. */
    public Filling withValues(Object... inOrder) {
        return given(values.inOrder(inOrder));
    }

    private Filling given(ValuesToGive others) {
        return new Filling(making, as, others, lifetime, keepsValues, grounds);
    }

    /** How long an instance lives. */
    public Filling lifetime(Lifetime wanted) {
        return new Filling(making, as, values, Optional.of(wanted), keepsValues, grounds);
    }

    /** Keeps the values of the inherited binding where this one gives none. */
    public Filling keepingValues() {
        return new Filling(making, as, values, lifetime, true, grounds);
    }

    /** Chooses the constructor with these parameter types. */
    public Filling byConstructor(Class<?>... parameterTypes) {
        return given(values.byConstructor(parameterTypes));
    }

    /** Why it is so that is not to stay. */
    public Filling because(String reason) {
        return on(new Grounds(Optional.of(reason), grounds.owner(), grounds.until()));
    }

    /** Who answers for it. */
    public Filling owner(String name) {
        return on(new Grounds(grounds.because(), Optional.of(name), grounds.until()));
    }

    /** The last day on which it may be so; past it, it is told as {@code overdue}. */
    public Filling until(LocalDate day) {
        return on(new Grounds(grounds.because(), grounds.owner(), Optional.of(day)));
    }

    private Filling on(Grounds others) {
        return new Filling(making, as, values, lifetime, keepsValues, others);
    }

    Binding binding(Slot slot, Names names, Where at) {
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
