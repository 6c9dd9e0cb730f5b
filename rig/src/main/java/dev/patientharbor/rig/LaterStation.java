package dev.patientharbor.rig;

import dev.patientharbor.plan.Part;
import java.util.List;

/** Hands out what makes an object when it is asked for one. */
final class LaterStation extends Station {

    private final Stations stations;
    private final int inside;
    private final Deferral deferral;

    LaterStation(Part.Later part, Stations stations, Deferral deferral) {
        super(part);
        this.stations = stations;
        this.deferral = deferral;
        inside = part.inside();
    }

    @Override
    public Object get(Surroundings at) {
        Station station = stations.at(inside);
        return deferral.of(((Part.Later) part()).carrier(), () -> station.get(at.whenAskedLater()));
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
