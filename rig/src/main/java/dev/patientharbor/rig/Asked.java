package dev.patientharbor.rig;

import dev.patientharbor.model.Given;
import dev.patientharbor.model.ShortName;
import dev.patientharbor.plan.Argument;
import java.lang.reflect.Type;
import java.util.Optional;
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
        return argument.match(part -> false, value -> true, passed -> false, wrapped -> false);
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
        if (known != null) {
            return get(known, at, who);
        }
        return argument.match(
                part -> {
                    // Two threads may both look it up, and find the same.
                    station = stations.at(part.part());
                    return get(station, at, who);
                },
                value -> value(value.given(), who, type),
                passed -> Types.fitting(passed, type, who),
                around -> around(around.carrier(), wrapped));
    }

    private Object get(Station known, Surroundings at, String who) {
        try {
            return known.get(at);
        } catch (RigException below) {
            throw below.onTheWayOf(step(who));
        }
    }

    private Object value(Given given, String who, Type type) {
        try {
            return stations.values().object(given, type);
        } catch (IllegalArgumentException unfit) {
            throw new NotMadeException(
                    "what is given to " + step(who) + " does not fit: " + unfit.getMessage(),
                    unfit);
        }
    }

    private Object around(String carrier, Object wrapped) {
        return carrier.isEmpty()
                ? wrapped
                : Deferral.of(carrier, (Supplier<Object>) () -> wrapped, stations.classes());
    }

    private Optional<Argument.FromPart> fromPart() {
        return argument.match(
                Optional::of,
                value -> Optional.empty(),
                passed -> Optional.empty(),
                wrapped -> Optional.empty());
    }

    /** A step on the way to what failed. */
    String step(String who) {
        return ShortName.of(who) + " (" + argument.name() + ")";
    }

    /** The station that it is fetched from, if it is. */
    Optional<Station> station() {
        return fromPart().map(from -> stations.at(from.part()));
    }

    /** The name of the parameter or field, where another part fills it. */
    Optional<String> need() {
        return fromPart().map(Argument.FromPart::name);
    }

    /** Whether it is what a need of that name receives. */
    boolean isFor(String need) {
        return need().filter(need::equals).isPresent();
    }
}
