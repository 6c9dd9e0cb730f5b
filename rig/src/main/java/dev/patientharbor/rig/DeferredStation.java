package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import java.util.List;

/** Hands out what makes an object when it is asked for one. */
final class DeferredStation extends ObjectStation {

    private final StationTable stations;
    private final int inside;

    private DeferredStation(AssemblyPart.Later part, StationTable stations) {
        super(part);
        this.stations = stations;
        inside = part.inside();
    }

    static ObjectStation of(AssemblyPart.Later part, StationTable stations) {
        return new DeferredStation(part, stations);
    }

    @Override
    Object get(InstanceStore at) {
        ObjectStation station = stations.at(inside);
        return DeferredAccess.of(
                ((AssemblyPart.Later) part()).carrier(),
                () -> station.get(at.whenAskedLater()),
                stations.classes());
    }

    @Override
    ObjectStation next() {
        return stations.at(inside);
    }

    @Override
    List<ObjectStation> asks() {
        return List.of();
    }
}
