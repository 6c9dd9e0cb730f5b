package dev.patientharbor.rig;

import dev.patientharbor.model.Given;
import dev.patientharbor.model.ShortName;
import dev.patientharbor.plan.Argument;
import java.lang.reflect.Type;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Supplier;

/** What one parameter or field is given. */
final class Asked {

    private final Argument argument;
    private final Stations stations;
    private Station station;

    Asked(Argument argument, Stations stations) {
        this.argument = argument;
        this.stations = stations;
    }

    /** Whether a value is converted for it. */
    boolean isValue() {
        return argument instanceof Argument.OfValue;
    }

    /**
     * Fetches it.
     *
     * @param who the class that asks, by its binary name
     * @param type the type of the parameter or field
     * @param wrapped what a decorator wraps; null for what is none
     */
    Object get(Surroundings at, String who, Type type, Object wrapped) {
        Station known = station;
        if (known == null && argument instanceof Argument.FromPart from) {
            // Two threads may both look it up, and find the same.
            known = stations.at(from.part());
            station = known;
        }
        if (known != null) {
            try {
                return known.get(at);
            } catch (RigException below) {
                throw below.onTheWayOf(step(who));
            }
        }
        if (argument instanceof Argument.OfValue value) {
            try {
                return value(value.given(), type);
            } catch (IllegalArgumentException unfit) {
                throw new NotMadeException(
                        "what is given to " + step(who) + " does not fit: " + unfit.getMessage(),
                        unfit);
            }
        }
        if (argument instanceof Argument.Passed passed) {
            return Types.fitting(passed, type, who);
        }
        String carrier = ((Argument.Wrapped) argument).carrier();
        return carrier.isEmpty()
                ? wrapped
                : Deferral.of(carrier, (Supplier<Object>) () -> wrapped, stations.classes());
    }

    /** A step on the way to what failed. */
    String step(String who) {
        return ShortName.of(who) + " (" + argument.name() + ")";
    }

    /** The number of what it is fetched from in the end, if it is. */
    OptionalInt number() {
        return argument instanceof Argument.FromPart from
                ? OptionalInt.of(stations.numberBehindAliases(from.part()))
                : OptionalInt.empty();
    }

    private Object value(Given given, Type type) {
        return stations.values().object(given, type);
    }

    /** The station that it is fetched from, if it is. */
    Optional<Station> station() {
        if (!(argument instanceof Argument.FromPart from)) {
            return Optional.empty();
        }
        return Optional.of(stations.at(from.part()));
    }

    /** The name of the parameter or field, where another part fills it. */
    Optional<String> need() {
        return argument instanceof Argument.FromPart from
                ? Optional.of(from.name())
                : Optional.empty();
    }

    /** Whether it is what a need of that name receives. */
    boolean isFor(String need) {
        return argument instanceof Argument.FromPart from && from.name().equals(need);
    }
}
