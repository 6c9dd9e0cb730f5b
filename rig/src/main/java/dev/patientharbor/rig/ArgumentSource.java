package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyArgument;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.texts.ShortName;
import java.lang.reflect.Type;
import java.util.Optional;
import java.util.function.Supplier;

/** What one parameter or field is given. */
final class ArgumentSource {

    private final AssemblyArgument argument;
    private final StationTable stations;
    private ObjectStation station;

    ArgumentSource(AssemblyArgument argument, StationTable stations) {
        this.argument = argument;
        this.stations = stations;
    }

    /** Whether a value is converted for it. */
    boolean isValue() {
        return argument.form() == AssemblyArgument.Form.OF_VALUE;
    }

    /**
     * Fetches what the parameter or field is given.
     *
     * @param who the class that asks, by its binary name
     * @param type the type of the parameter or field
     * @param wrapped what a decorator wraps; null for what is none
     */
    Object get(InstanceStore at, String who, Type type, Object wrapped) {
        ObjectStation known = station;
        if (known != null) {
            return get(known, at, who);
        }
        return switch (argument.form()) {
            case FROM_PART -> {
                // Two threads may both look it up, and find the same.
                station = stations.at(((AssemblyArgument.FromPart) argument).part());
                yield get(station, at, who);
            }
            case OF_VALUE -> value(((AssemblyArgument.OfValue) argument).given(), who, type);
            case PASSED -> RuntimeTypes.fitting((AssemblyArgument.Passed) argument, type, who);
            case WRAPPED -> around(((AssemblyArgument.Wrapped) argument).carrier(), wrapped);
        };
    }

    private Object get(ObjectStation known, InstanceStore at, String who) {
        try {
            return known.get(at);
        } catch (RigException below) {
            throw below.onTheWayOf(step(who));
        }
    }

    private Object value(GivenValue given, String who, Type type) {
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
                : DeferredAccess.of(carrier, (Supplier<Object>) () -> wrapped, stations.classes());
    }

    /** A step on the way to what failed. */
    String step(String who) {
        return ShortName.of(who) + " (" + argument.name() + ")";
    }

    /** The station that it is fetched from, if it is. */
    Optional<ObjectStation> station() {
        Optional<AssemblyArgument.FromPart> from = argument.fromPart();
        return from.isPresent() ? Optional.of(stations.at(from.get().part())) : Optional.empty();
    }

    /** The name of the parameter or field, where another part fills it. */
    Optional<String> need() {
        return argument.fromPart().map(AssemblyArgument.FromPart::name);
    }

    /** Whether it is what a need of that name receives. */
    boolean isFor(String need) {
        return need().filter(need::equals).isPresent();
    }
}
