package dev.patientharbor.rig;

import dev.patientharbor.plan.Part;
import java.util.List;

/** Hands out what makes an object when it is asked for one. */
final class LaterStation extends Station {

    private final Stations stations;
    private final int inside;

    private LaterStation(Part.Later part, Stations stations) {
        super(part);
        this.stations = stations;
        inside = part.inside();
    }

    static Station of(Part.Later part, Stations stations) {
        return new LaterStation(part, stations);
    }

    @Override
    Object get(Surroundings at) {
        Station station = stations.at(inside);
        return Deferral.of(
                ((Part.Later) part()).carrier(),
                () -> station.get(at.whenAskedLater()),
                stations.classes());
    }

    @Override
    Station next() {
        return stations.at(inside);
    }

    @Override
    List<Station> asks() {
        return List.of();
    }
}
