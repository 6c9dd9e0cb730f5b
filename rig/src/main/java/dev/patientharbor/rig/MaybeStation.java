package dev.patientharbor.rig;

import dev.patientharbor.plan.Part;
import java.util.List;
import java.util.Optional;

/** Hands out what may be absent. */
final class MaybeStation extends Station {

    private final Stations stations;
    private final Optional<Integer> inside;
    private final boolean bare;

    private MaybeStation(Part.Maybe part, Stations stations) {
        super(part);
        this.stations = stations;
        inside = part.inside();
        bare = part.bare();
    }

    static Station of(Part.Maybe part, Stations stations) {
        return new MaybeStation(part, stations);
    }

    @Override
    Object get(Surroundings at) {
        Object object = inside.isPresent() ? stations.at(inside.get()).get(at) : null;
        return bare ? object : Optional.ofNullable(object);
    }

    @Override
    Station next() {
        return inside.isPresent() ? stations.at(inside.get()) : this;
    }

    @Override
    List<Station> asks() {
        return inside.stream().map(stations::at).toList();
    }
}
