package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import java.util.List;
import java.util.Map;

/** Hands out the object of another station. */
final class AliasStation extends ObjectStation {

    private final StationTable stations;
    private final int to;

    private AliasStation(AssemblyPart.Alias part, StationTable stations) {
        super(part);
        this.stations = stations;
        to = part.to();
    }

    static ObjectStation of(AssemblyPart.Alias part, StationTable stations) {
        return new AliasStation(part, stations);
    }

    @Override
    Object get(InstanceStore at) {
        return stations.at(to).get(at);
    }

    @Override
    Object fresh(InstanceStore at, Map<String, Object> passed) {
        return stations.at(to).fresh(at, passed);
    }

    @Override
    ObjectStation next() {
        return stations.at(to);
    }

    @Override
    List<ObjectStation> asks() {
        return List.of(stations.at(to));
    }
}
