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
        return argument.form() == Argument.Form.OF_VALUE;
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
        return switch (argument.form()) {
            case FROM_PART -> {
                // Two threads may both look it up, and find the same.
                station = stations.at(((Argument.FromPart) argument).part());
                yield get(station, at, who);
            }
            case OF_VALUE -> value(((Argument.OfValue) argument).given(), who, type);
            case PASSED -> Types.fitting((Argument.Passed) argument, type, who);
            case WRAPPED -> around(((Argument.Wrapped) argument).carrier(), wrapped);
        };
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

    /** A step on the way to what failed. */
    String step(String who) {
        return ShortName.of(who) + " (" + argument.name() + ")";
    }

    /** The station that it is fetched from, if it is. */
    Optional<Station> station() {
        Optional<Argument.FromPart> from = argument.fromPart();
        return from.isPresent() ? Optional.of(stations.at(from.get().part())) : Optional.empty();
    }

    /** The name of the parameter or field, where another part fills it. */
    Optional<String> need() {
        return argument.fromPart().map(Argument.FromPart::name);
    }

    /** Whether it is what a need of that name receives. */
    boolean isFor(String need) {
        return need().filter(need::equals).isPresent();
    }
}
