package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import java.util.List;
import java.util.Optional;

/** Hands out what may be absent. */
final class OptionalStation extends ObjectStation {

    private final StationTable stations;
    private final Optional<Integer> inside;
    private final boolean bare;

    private OptionalStation(AssemblyPart.Maybe part, StationTable stations) {
        super(part);
        this.stations = stations;
        inside = part.inside();
        bare = part.bare();
    }

    static ObjectStation of(AssemblyPart.Maybe part, StationTable stations) {
        return new OptionalStation(part, stations);
    }

    @Override
    Object get(InstanceStore at) {
        Object object = inside.isPresent() ? stations.at(inside.get()).get(at) : null;
        return bare ? object : Optional.ofNullable(object);
    }

    @Override
    ObjectStation next() {
        return inside.isPresent() ? stations.at(inside.get()) : this;
    }

    @Override
    List<ObjectStation> asks() {
        return inside.stream().map(stations::at).toList();
    }
}
