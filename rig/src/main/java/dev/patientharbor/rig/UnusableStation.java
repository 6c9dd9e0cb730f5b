package dev.patientharbor.rig;

import dev.patientharbor.plan.Part;
import java.util.List;

/** Stands for an object whose contract or classes cannot be loaded; whoever asks is told why. */
final class UnusableStation extends Station {

    private final String profile;
    private final LinkageError fault;

    UnusableStation(Part.Made part, String profile, LinkageError fault) {
        super(part);
        this.profile = profile;
        this.fault = fault;
    }

    @Override
    Object get(Surroundings at) {
        NotMadeException why = NotMadeException.unusable(slot(), fault);
        throw RigException.of(
                (Part.Made) part(),
                why.getMessage(),
                "no " + slot() + " in " + profile + ": " + why.getMessage(),
                fault);
    }

    @Override
    List<Station> asks() {
        return List.of();
    }
}
