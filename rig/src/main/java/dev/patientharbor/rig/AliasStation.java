package dev.patientharbor.rig;

import dev.patientharbor.plan.Part;
import java.util.List;
import java.util.Map;

/** Hands out what another one does. */
final class AliasStation extends Station {

    private final Stations stations;
    private final int to;

    private AliasStation(Part.Alias part, Stations stations) {
        super(part);
        this.stations = stations;
        to = part.to();
    }

    static Station of(Part.Alias part, Stations stations) {
        return new AliasStation(part, stations);
    }

    @Override
    Object get(Surroundings at) {
        return stations.at(to).get(at);
    }

    @Override
    Object fresh(Surroundings at, Map<String, Object> passed) {
        return stations.at(to).fresh(at, passed);
    }

    @Override
    Station next() {
        return stations.at(to);
    }

    @Override
    List<Station> asks() {
        return List.of(stations.at(to));
    }
}
