package dev.patientharbor.rig;

import dev.patientharbor.plan.Part;
import java.util.List;
import java.util.Map;

/** Hands out what another one does. */
final class AliasStation extends Station {

    private final Stations stations;
    private final int to;

    AliasStation(Part part, Stations stations, int to) {
        super(part);
        this.stations = stations;
        this.to = to;
    }

    @Override
    public Object get(Surroundings at) {
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
