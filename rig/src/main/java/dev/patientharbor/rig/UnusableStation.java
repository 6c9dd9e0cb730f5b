package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import java.util.List;

/** Stands for an object whose contract or classes cannot be loaded, and says so to whoever asks. */
final class UnusableStation extends ObjectStation {

    private final String profile;
    private final LinkageError fault;

    UnusableStation(AssemblyPart.Made part, String profile, LinkageError fault) {
        super(part);
        this.profile = profile;
        this.fault = fault;
    }

    @Override
    Object get(InstanceStore at) {
        NotMadeException why = NotMadeException.unusable(slot(), fault);
        throw RigException.of(
                (AssemblyPart.Made) part(),
                why.getMessage(),
                "no " + slot() + " in " + profile + ": " + why.getMessage(),
                fault);
    }

    @Override
    List<ObjectStation> asks() {
        return List.of();
    }
}
