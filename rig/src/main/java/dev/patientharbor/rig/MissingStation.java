package dev.patientharbor.rig;

import dev.patientharbor.plan.Part;
import java.util.List;

/** Stands where nothing can be made. */
final class MissingStation extends Station {

    private final String profile;

    private MissingStation(Part part, String profile) {
        super(part);
        this.profile = profile;
    }

    static Station of(Part part, String profile) {
        return new MissingStation(part, profile);
    }

    @Override
    Object get(Surroundings at) {
        throw new RigException(
                slot()
                        + " cannot be made in "
                        + profile
                        + (((Part.Missing) part()).onPurpose()
                                ? ": it is bound to none"
                                : ": it is bound, but no entry consumer leads to it, and what it"
                                        + " needs is not all there"));
    }

    @Override
    List<Station> asks() {
        return List.of();
    }
}
